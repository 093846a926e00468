import { Select } from 'antd';
import type { Schemas, ThingView } from '../../api/client';
import { HeldSlider } from '../../values/HeldSlider';
import { useHeld } from '../../values/useHeld';
import { ColorSelect } from './ColorSelect';
import { setColor } from './setColor';
import { useColorSteps } from '../../site/useColorSteps';
import './ComputedColor.css';

type Computed = Schemas['ComputedView'];

/** The spaces a mix can be made in (CSS Color 4), the most even first. */
const SPACES = ['oklab', 'oklch', 'lab', 'lch', 'srgb', 'srgb-linear', 'hsl'];

const MOVES = [
  { name: 'lightness', label: 'Lightness', most: 60, step: 1 },
  { name: 'chroma', label: 'Chroma', most: 20, step: 0.5 },
  { name: 'hue', label: 'Hue', most: 180, step: 1 },
] as const;

interface Props {
  thing: ThingView;
  computed: Computed;
}

/** What a colour is computed from: two that are mixed, or one that is moved. The stage follows the hand. */
export function ComputedColor({ thing, computed }: Props) {
  const colors = useColorSteps();
  const held = useHeld<Computed>((next) => setColor(thing.id, textOf(next)));
  const now = held.value ?? computed;
  // It cannot be computed from itself.
  const others = colors.filter((c) => c.id !== thing.id);
  const set = (change: Partial<Computed>) => {
    held.begin();
    void held.letGo({ ...now, ...change });
  };
  const color = (label: string, value: string, put: (name: string) => Partial<Computed>) => (
    <div className="computed-row">
      <span className="quiet">{label}</span>
      <ColorSelect label={`${label} of ${thing.name}`} value={value} colors={others} onChange={(name) => set(put(name))} />
    </div>
  );
  return (
    <div className="computed-color">
      {color('From', now.from, (from) => ({ from }))}
      {now.other !== null ? (
        <>
          {color('With', now.other, (other) => ({ other }))}
          <div className="computed-row">
            <span className="quiet">{now.share}%</span>
            <HeldSlider
              label={`Share of ${now.other}`}
              min={0}
              max={100}
              value={now.share}
              said={`${now.share} per cent`}
              held={held}
              at={(share) => ({ ...now, share })}
            />
          </div>
          <div className="computed-row">
            <span className="quiet">In</span>
            <Select
              aria-label="Colour space of the mix"
              variant="borderless"
              value={now.space}
              options={SPACES.map((value) => ({ value, label: value }))}
              onChange={(space: string) => set({ space })}
            />
          </div>
        </>
      ) : (
        MOVES.map(({ name, label, most, step }) => (
          <div key={name} className="computed-row">
            <span className="quiet">
              {label} {signed(now[name])}
            </span>
            <HeldSlider
              label={`${label} moved`}
              min={-most}
              max={most}
              step={step}
              value={now[name]}
              said={signed(now[name])}
              held={held}
              at={(by) => ({ ...now, [name]: by })}
            />
          </div>
        ))
      )}
    </div>
  );
}

const signed = (by: number) => (by === 0 ? '0' : `${by > 0 ? '+' : '−'}${Math.abs(by)}`);

/** As it would be typed. */
export function textOf({ from, other, share, space, ...moved }: Computed): string {
  if (other !== null) return `mix ${from}, ${other} ${share}% in ${space}`;
  return [`move ${from}`, ...MOVES.filter(({ name }) => moved[name] !== 0).map(({ name }) => `${name} ${signed(moved[name])}`)].join(', ');
}
