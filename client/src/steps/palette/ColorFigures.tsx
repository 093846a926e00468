import { memo } from 'react';
import type { ColorView, Schemas, ThingView } from '../../api/client';
import { ValueCell } from '../../values/ValueCell';

type Figure = Schemas['ColorFigure'];

const FIGURES: readonly { figure: Figure; name: string; of: (color: ColorView) => string }[] = [
  { figure: 'lightness', name: 'Lightness', of: (c) => `${c.lightness}` },
  { figure: 'chroma', name: 'Chroma', of: (c) => `${c.chroma}` },
  { figure: 'hue', name: 'Hue', of: (c) => (c.hue === null ? 'none' : `${c.hue}°`) },
  { figure: 'alpha', name: 'Alpha', of: (c) => `${Math.round(c.alpha * 1000) / 10}%` },
];

interface Props {
  thing: ThingView;
  color: ColorView;
}

/** What a colour is in OKLCH, and how much shows through it: numbers to type, arithmetic too. Of a computed one they are only told. */
export const ColorFigures = memo(function ColorFigures({ thing, color }: Props) {
  return (
    <table className="values color-figures" aria-label={`Figures of ${thing.name}`}>
      <thead>
        <tr>
          {FIGURES.map(({ name }) => (
            <th key={name} scope="col">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        <tr>
          {FIGURES.map(({ figure, name, of }) => (
            <td key={figure}>
              {color.computed ? (
                <span className="told">{of(color)}</span>
              ) : (
                <ValueCell
                  name={`${name} of ${thing.name}`}
                  text={of(color)}
                  inherited={null}
                  names={[]}
                  edit={(text) => ({ kind: 'setColorFigure', id: thing.id, figure, text: text ?? '' })}
                />
              )}
            </td>
          ))}
        </tr>
      </tbody>
    </table>
  );
});
