import { memo, useState } from 'react';
import type { ColorView, ThingView } from '../../api/client';
import { ValueCell } from '../../values/ValueCell';

interface Step {
  step: number;
  name: string;
  hex: string;
}

/** The steps of a colour, each a button; the chosen one can be given by hand, and let go again. */
export const StepsTable = memo(function StepsTable({ thing, color }: { thing: ThingView; color: ColorView }) {
  const [chosen, setChosen] = useState<number | null>(null);
  const steps = stepsOf(color);
  const at = steps.find((s) => s.step === chosen);
  const givenAt = (step: number): string | null => color.givenSteps[step] ?? null;
  return (
    <div className="steps">
      <div className="strip" role="group" aria-label={`Steps of ${thing.name}`}>
        {steps.map(({ step, name, hex }) =>
          step === 0 ? (
            <span key={step} className="base" style={{ background: hex }} />
          ) : (
            <button
              key={step}
              type="button"
              aria-label={`${name}: ${hex}${givenAt(step) === null ? '' : ', given by hand'}`}
              aria-pressed={step === chosen}
              className={givenAt(step) === null ? '' : 'given'}
              style={{ background: hex }}
              onClick={() => setChosen(step === chosen ? null : step)}
            />
          ),
        )}
      </div>
      {at && (
        <div className="step-value">
          <span className="quiet">{at.name}</span>
          <ValueCell
            name={`${thing.name} ${at.name}`}
            text={givenAt(at.step)}
            inherited={at.hex}
            names={[]}
            edit={(text) => ({ kind: 'setColorStep', id: thing.id, step: at.step, text })}
            note={givenAt(at.step) === null ? 'computed' : 'given by hand · Delete lets it go'}
          />
        </div>
      )}
    </div>
  );
});

/** Lightest first. */
function stepsOf({ hex, tints, shades }: ColorView): Step[] {
  return [
    ...tints.map((tint, i) => ({ step: i + 1, name: `tint ${i + 1}`, hex: tint })).reverse(),
    { step: 0, name: '', hex },
    ...shades.map((shade, i) => ({ step: -i - 1, name: `shade ${i + 1}`, hex: shade })),
  ];
}
