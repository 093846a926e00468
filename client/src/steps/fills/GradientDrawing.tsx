import { Button, Segmented, Select } from 'antd';
import { useState } from 'react';
import type { ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useActions } from '../../site/editingContext';
import { TextsOver } from '../../readings/TextsOver';
import { MenuButton } from '../../ui/MenuButton';
import { Problem } from '../../ui/Problem';
import { AngleDial } from './AngleDial';
import { GradientBar } from './GradientBar';
import { MeshBox } from './MeshBox';
import { Recolor } from './Recolor';
import { StopsTable } from './StopsTable';
import { useGradient } from './useGradient';

/** The text that is held against a gradient where none is chosen. */
const TEXT = 'text';

const KINDS = ['linear', 'radial', 'conic', 'mesh'];

/** Degrees it is turned by, clockwise. */
const TURNS = [45, 90, 180, -45, -90];

/** A gradient drawn large: its line with the stops, its course, what can be read on it, and what else can be done with it. */
export function GradientDrawing({ thing }: { thing: ThingView }) {
  const { make } = useActions();
  const gradient = useGradient(thing.id);
  const [stop, setStop] = useState<string | null>(null);
  const [role, setRole] = useState(TEXT);
  const [problem, setProblem] = useState<string | null>(null);
  if (!gradient) return null;
  const kind = fieldText(thing, 'kind');
  const isMesh = kind === 'mesh';
  const reading = gradient.readings.find((r) => r.role === role) ?? gradient.readings[0];
  const change = (edit: Parameters<typeof make>[0]) => void make(edit, { saidAtItsPlace: true }).then(setProblem);
  const chosen = thing.items?.some((i) => i.id === stop) ? stop : null;
  const plain = gradient.plain;
  return (
    <div className="drawing gradient-drawing">
      <Segmented
        size="small"
        aria-label={`Kind of ${thing.name}`}
        value={kind}
        options={KINDS.map((value) => ({ value, label: value }))}
        onChange={(text) => change({ kind: 'setThing', of: 'gradient', id: thing.id, field: 'kind', text, in: null })}
      />
      {isMesh ? (
        <MeshBox thing={thing} gradient={gradient} chosen={chosen} onChoose={setStop} />
      ) : (
        <GradientBar thing={thing} gradient={gradient} reading={reading} chosen={chosen} onChoose={setStop} onProblem={setProblem} />
      )}
      {reading && (
        <p className="reading">
          <Select
            size="small"
            variant="borderless"
            aria-label="Text held against it"
            value={reading.role}
            options={gradient.readings.map((r) => ({ value: r.role, label: r.name }))}
            onChange={setRole}
            popupMatchSelectWidth={180}
          />
          {reading.worst < 4.5 ? (
            <span className="failing">
              falls to {reading.worst.toFixed(2)} : 1{place(reading.at)}
            </span>
          ) : (
            <span>
              stays above {reading.worst.toFixed(2)} : 1 {isMesh ? 'all over it' : 'along all of it'}
            </span>
          )}
          <span className="quiet"> on the first scheme’s ground</span>
        </p>
      )}
      <StopsTable thing={thing} gradient={gradient} reading={reading} chosen={chosen} onChoose={setStop} />
      <div className="gradient-acts">
        {(kind === 'linear' || kind === 'conic') && <AngleDial thing={thing} kind={kind} />}
        <Button size="small" onClick={() => change({ kind: 'reverseGradient', id: thing.id })}>
          Reverse
        </Button>
        <MenuButton
          size="small"
          menu={{
            items: TURNS.map((degrees) => ({
              key: degrees,
              label: `${Math.abs(degrees)}° ${degrees < 0 ? 'to the left' : 'to the right'}`,
            })),
            onClick: ({ key }) => change({ kind: 'turnGradient', id: thing.id, degrees: key }),
          }}
        >
          Turn
        </MenuButton>
        <Recolor thing={thing} onProblem={setProblem} />
        <span className="quiet plain-note">
          {plain && (
            <>
              older browsers: {plain.stops} plain stops, ΔE ≤ {plain.difference.toFixed(1)}
            </>
          )}
        </span>
      </div>
      <Problem text={problem} />
      <TextsOver fill={`gradient/${thing.id}`} name={thing.name} />
    </div>
  );
}

const place = (at: number | null) => (at === null ? '' : ` at ${at.toFixed(0)} %`);
