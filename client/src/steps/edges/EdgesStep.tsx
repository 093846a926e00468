import type { ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { StepViews, useStepView } from '../../site/StepViews';
import { ThingsPanel } from '../../things/ThingsPanel';
import { EasingDrawing } from './EasingDrawing';
import { RadiusDrawing } from './RadiusDrawing';
import { ShadowDrawing } from './ShadowDrawing';
import { WornPanel } from './WornPanel';
import { LISTS, VIEWS } from './views';
import './EdgesStep.css';

const text = (thing: ThingView, ...fields: string[]) => fields.map((f) => fieldText(thing, f));

/** What is told of a thing in its row where what it is made of would be too much. */
const ROWS: Partial<Record<string, (thing: ThingView) => string>> = {
  border: (b) => {
    const [width, style, color, opacity, along, second, distance] = text(
      b,
      'width',
      'style',
      'color',
      'opacity',
      'along',
      'second',
      'distance',
    );
    const line = [width, style, color, opacity === '100%' ? '' : opacity].filter(Boolean).join(' ');
    return [
      line,
      along === 'none' ? '' : `along ${along}`,
      second === 'none' ? '' : `second ${second}${distance === '0px' ? '' : ` at ${distance}`}`,
    ]
      .filter(Boolean)
      .join(' · ');
  },
  radius: (r) => {
    const [size, down] = text(r, 'size', 'down');
    return down === 'as across' ? (size ?? '') : `${size} by ${down}`;
  },
  duration: (d) => {
    const [time, reduced] = text(d, 'time', 'reduced');
    return `${time} · ${reduced} for less motion`;
  },
  easing: (e) => {
    const [shape, steps, bounce] = text(e, 'shape', 'steps', 'bounce');
    return shape === 'steps'
      ? `${steps} steps`
      : shape === 'spring'
        ? `spring, ${bounce} bounce`
        : `curve ${text(e, 'x1', 'y1', 'x2', 'y2').join(', ')}`;
  },
};

/** Named edges and how things move, used in the looks of parts. */
export default function EdgesStep() {
  const view = useStepView(VIEWS);
  const list = LISTS.find((v) => v.value === view);
  return (
    <section className="step-panel" aria-label="Edges">
      <div className="bar">
        <h1>Edges</h1>
        <StepViews label="Part of the edges" views={VIEWS} view={view} />
      </div>
      {list ? (
        <ThingsPanel
          key={list.kind}
          kind={list.kind}
          {...(ROWS[list.kind] && { row: ROWS[list.kind] })}
          drawn={(thing) =>
            list.kind === 'radius' ? (
              <RadiusDrawing thing={thing} />
            ) : list.kind === 'shadow' ? (
              <ShadowDrawing thing={thing} />
            ) : list.kind === 'easing' ? (
              <EasingDrawing thing={thing} />
            ) : null
          }
        />
      ) : (
        <WornPanel />
      )}
    </section>
  );
}
