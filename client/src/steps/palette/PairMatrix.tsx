import type { Schemas } from '../../api/client';
import { groupBy } from '../../ui/groupBy';
import { Ratio } from '../../readings/PairSample';

type Row = Schemas['PairRowView'];

/** Colours by grounds: what meets, at its worst. */
export function PairMatrix({ rows }: { rows: readonly Row[] }) {
  const grounds = [...new Map(rows.map((r) => [r.groundName, r.ground]))];
  const colors = [...groupBy(rows, (r) => r.foregroundName)];
  return (
    // It scrolls, so it must be reachable by key.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
    <div className="pair-matrix" role="group" aria-label="Matrix" tabIndex={0}>
      <table aria-label="Colours by grounds">
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Colour</span>
            </th>
            {grounds.map(([name, hex]) => (
              <th key={name} scope="col">
                <span className="swatch" style={{ background: hex }} /> {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {colors.map(([name, of]) => (
            <tr key={name}>
              <th scope="row">
                <span className="swatch" style={{ background: of[0]?.foreground }} /> {name}
              </th>
              {grounds.map(([ground]) => {
                const [worst] = of.filter((r) => r.groundName === ground);
                return (
                  <td key={ground} style={worst && { background: worst.ground, color: worst.foreground }} title={worst?.name}>
                    {worst && (
                      <span className="matrix-ratio">
                        <Ratio {...worst} />
                      </span>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
