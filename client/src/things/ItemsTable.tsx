import { Button } from 'antd';
import { useState } from 'react';
import type { Edit, Schemas, ThingView } from '../api/client';
import { namesIn } from '../site/catalogue';
import { useActions, useEditing } from '../site/editingContext';
import { useFocusNext } from '../site/useFocusNext';
import { Problem } from '../ui/Problem';
import { withArticle } from '../ui/words';
import { ValueCell } from '../values/ValueCell';
import { ItemOrder } from './ItemOrder';

interface Props {
  kind: Schemas['KindView'];
  items: Schemas['ItemsView'];
  thing: ThingView;
}

/** The records within a thing, a row each. */
export function ItemsTable({ kind, items, thing }: Props) {
  const { make } = useActions();
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const list = thing.items ?? [];
  const at = { of: kind.code, in: thing.id };
  const isFixed = items.fewest === items.most;
  const change = (edit: Edit) => void make(edit, { saidAtItsPlace: true }).then(setProblem);
  const [table, focusNext] = useFocusNext<HTMLDivElement>(list.length);
  const add = () => {
    focusNext('tr:last-child button.cell');
    change({ kind: 'addThing', ...at, id: crypto.randomUUID(), name: null, like: list.at(-1)?.id ?? null, values: null });
  };
  return (
    <div ref={table}>
      <table className="values items" aria-label={`Every ${items.name} of ${thing.name}`}>
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Place</span>
            </th>
            {items.fields.map((setting) => (
              <th key={setting.id} scope="col">
                {setting.name}
              </th>
            ))}
            {!isFixed && (
              <th scope="col" className="order-head">
                <span className="unseen">Order</span>
              </th>
            )}
          </tr>
        </thead>
        <tbody>
          {list.map((item, place) => {
            const called = `${items.name} ${place + 1}`;
            return (
              <tr key={item.id}>
                <th scope="row">{place + 1}</th>
                {items.fields.map((setting) => (
                  <td key={setting.id}>
                    <ValueCell
                      name={`${setting.name} of ${called} of ${thing.name}`}
                      text={item.fields.find((f) => f.id === setting.id)?.text ?? ''}
                      inherited={null}
                      names={namesIn(names, setting)}
                      edit={(text) => ({ kind: 'setThing', ...at, id: item.id, field: setting.id, text: text ?? '' })}
                    />
                  </td>
                ))}
                {!isFixed && (
                  <td className="order">
                    <ItemOrder
                      at={at}
                      id={item.id}
                      called={called}
                      place={place}
                      count={list.length}
                      fewest={items.fewest}
                      change={change}
                      focusNext={focusNext}
                    />
                  </td>
                )}
              </tr>
            );
          })}
        </tbody>
      </table>
      {!isFixed && (
        <div className="below-rows">
          <Button size="small" disabled={list.length >= items.most} onClick={add}>
            Add {withArticle(items.name)}
          </Button>
        </div>
      )}
      <Problem text={problem} />
    </div>
  );
}
