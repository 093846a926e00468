import { Button } from 'antd';
import { useState } from 'react';
import type { Edit, Schemas, SettingView, ThingView } from '../../api/client';
import { fieldOf, kindOf, namesIn } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useFocusNext } from '../../site/useFocusNext';
import { ItemOrder } from '../../things/ItemOrder';
import { Problem } from '../../ui/Problem';
import { ValueCell } from '../../values/ValueCell';
import { amount, stopAt } from './stops';
import type { GradientView } from './useGradient';

/** What counts of a stop: along a line, or of a point of a mesh. */
const OF_LINES = ['color', 'position', 'alpha', 'middle'];
const OF_MESHES = ['color', 'x', 'y', 'reach', 'alpha'];

interface Props {
  thing: ThingView;
  gradient: GradientView;
  /** The text that is held against it. */
  reading: Schemas['ReadingView'] | undefined;
  chosen: string | null;
  onChoose: (stop: string) => void;
}

/** The stops of a gradient, or the points of a mesh, a row each, with the contrast of the chosen text on them. */
export function StopsTable({ thing, gradient, reading, chosen, onChoose }: Props) {
  const { make } = useActions();
  const items = thing.items ?? [];
  const described = useEditing((e) => kindOf(e.catalogue, 'gradient')?.items);
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const [table, focusNext] = useFocusNext<HTMLDivElement>(items.length);
  if (!described) return null;
  const isMesh = gradient.line === null;
  const one = isMesh ? 'point' : 'stop';
  const fields = (isMesh ? OF_MESHES : OF_LINES)
    .map((id) => described.fields.find((f) => f.id === id))
    .filter((f): f is SettingView => f !== undefined);
  const change = (edit: Edit) => void make(edit, { saidAtItsPlace: true }).then(setProblem);
  const add = () => {
    focusNext('tr:last-child button.cell');
    const [last, before] = [items.at(-1), items.at(-2)];
    const id = crypto.randomUUID();
    // Where there is the most room; of a mesh before the one that lies all over.
    change(
      isMesh
        ? { kind: 'addThing', of: 'gradient', id, name: null, like: before?.id ?? last?.id ?? null, values: null, in: thing.id }
        : stopAt(thing, gradient.along, widest(items.map((i) => amount(i, 'position'))), id),
    );
  };
  // What does not count is left off: the last stop mixes with none after it, the last point lies all over.
  const counts = (field: string, place: number) => place < items.length - 1 || !(isMesh ? ['x', 'y', 'reach'] : ['middle']).includes(field);
  return (
    <div ref={table}>
      <table className={isMesh ? 'values items stops of-mesh' : 'values items stops'} aria-label={`Every ${one} of ${thing.name}`}>
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Place</span>
            </th>
            {fields.map((setting) => (
              <th key={setting.id} scope="col" className={`stop-${setting.id}`}>
                {setting.name}
              </th>
            ))}
            {reading && (
              <th scope="col" className="stop-reading" title={`Contrast of ${reading.name}`}>
                {reading.name}
              </th>
            )}
            <th scope="col" className="order-head">
              <span className="unseen">Order</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {items.map((item, place) => {
            const called = `${one} ${place + 1}`;
            const stop = gradient.stops.find((s) => s.id === item.id);
            const ratio = reading?.stops[gradient.stops.findIndex((s) => s.id === item.id)];
            return (
              <tr key={item.id} className={item.id === chosen ? 'chosen-row' : ''} onFocus={() => onChoose(item.id)}>
                <th scope="row">
                  <span className="unseen">{place + 1}</span>
                  <span className="swatch" style={{ background: stop?.color }} />
                </th>
                {fields.map((setting) => (
                  <td key={setting.id}>
                    {counts(setting.id, place) && (
                      <ValueCell
                        name={`${setting.name} of ${called} of ${thing.name}`}
                        text={fieldOf(item, setting.id)}
                        inherited={null}
                        names={namesIn(names, setting)}
                        edit={(text) => ({
                          kind: 'setThing',
                          of: 'gradient',
                          in: thing.id,
                          id: item.id,
                          field: setting.id,
                          text: text ?? '',
                        })}
                      />
                    )}
                    {setting.id === 'color' && stop?.says && (
                      <span className="quiet stop-says" title={stop.says}>
                        {stop.says}
                      </span>
                    )}
                  </td>
                ))}
                {ratio !== undefined && <td className={ratio < 4.5 ? 'ratio failing' : 'ratio'}>{ratio.toFixed(2)}</td>}
                <td className="order">
                  <ItemOrder
                    at={{ of: 'gradient', in: thing.id }}
                    id={item.id}
                    called={called}
                    place={place}
                    count={items.length}
                    fewest={described.fewest}
                    change={change}
                    focusNext={focusNext}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <div className="below-rows">
        <Button size="small" disabled={items.length >= described.most} onClick={add}>
          Add a {one}
        </Button>
      </div>
      <Problem text={problem} />
    </div>
  );
}

/** The middle of the widest stretch without a stop. */
function widest(places: readonly number[]): number {
  const sorted = [...places].sort((a, b) => a - b);
  let [from, to] = [sorted[0] ?? 0, sorted[1] ?? 100];
  sorted.forEach((place, i) => {
    const next = sorted[i + 1];
    if (next !== undefined && next - place > to - from) [from, to] = [place, next];
  });
  return (from + to) / 2;
}
