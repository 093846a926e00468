import { Button } from 'antd';
import { useRef, useState } from 'react';
import type { Edit, SettingView, ThingView } from '../../api/client';
import { fieldOf, kindOf, namesIn } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useFocusNext } from '../../site/useFocusNext';
import { ItemOrder } from '../../things/ItemOrder';
import { Problem } from '../../ui/Problem';
import { ValueCell } from '../../values/ValueCell';
import { DrawnFill } from '../../ui/DrawnFill';
import { useRowDrag } from './useRowDrag';
import type { BackgroundView } from './useBackground';

/** What every layer has; the rest is of pictures alone. */
const OF_ALL = ['fill', 'opacity', 'blend', 'shown'];

interface Props {
  thing: ThingView;
  background: BackgroundView;
  chosen: string | null;
  onChoose: (layer: string) => void;
}

/** The layers of a background, a row each, the topmost first: dragged by what they look like, or moved by keys. */
export function LayersTable({ thing, background, chosen, onChoose }: Props) {
  const { make } = useActions();
  const items = thing.items ?? [];
  const described = useEditing((e) => kindOf(e.catalogue, 'background')?.items);
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const [table, focusNext] = useFocusNext<HTMLDivElement>(items.length);
  const body = useRef<HTMLTableSectionElement>(null);
  const change = (edit: Edit) => void make(edit, { saidAtItsPlace: true }).then(setProblem);
  const at = { of: 'background', in: thing.id };
  const drag = useRowDrag(body, (from, to) => {
    const item = items[from];
    if (item) change({ kind: 'moveThing', ...at, id: item.id, to });
  });
  if (!described) return null;
  const fields = OF_ALL.map((id) => described.fields.find((f) => f.id === id)).filter((f): f is SettingView => f !== undefined);
  const add = () => {
    focusNext('tr:last-child button.cell');
    change({
      kind: 'addThing',
      ...at,
      id: crypto.randomUUID(),
      name: null,
      like: items.at(-1)?.id ?? null,
      values: null,
    });
  };
  return (
    <div ref={table}>
      <table className="values items layers" aria-label={`Every layer of ${thing.name}, the topmost first`}>
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Layer</span>
            </th>
            {fields.map((setting) => (
              <th key={setting.id} scope="col" className={`layer-${setting.id}`}>
                {setting.name}
              </th>
            ))}
            <th scope="col" className="order-head">
              <span className="unseen">Order</span>
            </th>
          </tr>
        </thead>
        <tbody ref={body}>
          {items.map((item, place) => {
            const called = `layer ${place + 1}`;
            return (
              <tr
                key={item.id}
                className={[item.id === chosen ? 'chosen-row' : '', drag.classOf(place)].join(' ').trim()}
                onFocus={() => onChoose(item.id)}
              >
                <th scope="row">
                  <span className="unseen">{place + 1}</span>
                  <span className="layer-grip" title="Drag to another place" {...drag.handlersOf(place)}>
                    <DrawnFill className="layer-thumb" html={background.layers.find((l) => l.id === item.id)?.html ?? ''} />
                  </span>
                </th>
                {fields.map((setting) => (
                  <td key={setting.id}>
                    <ValueCell
                      name={`${setting.name} of ${called} of ${thing.name}`}
                      text={fieldOf(item, setting.id)}
                      inherited={null}
                      names={namesIn(names, setting)}
                      edit={(text) => ({
                        kind: 'setThing',
                        ...at,
                        id: item.id,
                        field: setting.id,
                        text: text ?? '',
                      })}
                    />
                  </td>
                ))}
                <td className="order">
                  <ItemOrder
                    at={at}
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
          Add a layer
        </Button>
      </div>
      <Problem text={problem} />
    </div>
  );
}
