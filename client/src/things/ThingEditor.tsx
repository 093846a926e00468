import { Button, Dropdown } from 'antd';
import { useState } from 'react';
import type { Schemas, ThingView } from '../api/client';
import { namesIn } from '../site/catalogue';
import { useActions, useEditing } from '../site/editingContext';
import { Problem } from '../ui/Problem';
import { TextField } from '../values/TextField';
import { ValueCell } from '../values/ValueCell';
import { ItemsTable } from './ItemsTable';

interface Props {
  kind: Schemas['KindView'];
  thing: ThingView;
  /** All of its kind. */
  others: readonly ThingView[];
  onChosen: (id: string) => void;
}

/** What a thing is made of, its name, and its end. */
export function ThingEditor({ kind, thing, others, onChosen }: Props) {
  const { make } = useActions();
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const { id, name } = thing;
  const copy = async () => {
    const copied = crypto.randomUUID();
    const free = freeName(name, others);
    const wrong = await make({ kind: 'addThing', of: kind.code, id: copied, name: free, like: id, values: null, in: null });
    setProblem(wrong);
    if (wrong === null) onChosen(copied);
  };
  const remove = async (by: string | null) => {
    const wrong = await make({ kind: 'removeThing', of: kind.code, id, by, in: null });
    setProblem(wrong);
    if (wrong === null) onChosen(by ?? '');
  };
  return (
    <section className="thing-editor" aria-label={`${kind.name} ${name}`}>
      <div className="subhead">
        <strong>{name}</strong>
        {thing.token && <code className="quiet">{thing.token}</code>}
      </div>
      {kind.fields.length > 0 && (
        <table className="values" aria-label={`Settings of ${name}`}>
          <tbody>
            {kind.fields.map((setting) => {
              const value = thing.fields.find((f) => f.id === setting.id);
              return (
                value && (
                  <tr key={setting.id}>
                    <th scope="row">{setting.name}</th>
                    <td>
                      <ValueCell
                        name={`${setting.name} of ${name}`}
                        text={value.text}
                        inherited=""
                        names={value.names ?? namesIn(names, setting)}
                        edit={(text) => ({ kind: 'setThing', of: kind.code, id, field: setting.id, text: text ?? '', in: null })}
                        note={value.note}
                      />
                    </td>
                  </tr>
                )
              );
            })}
          </tbody>
        </table>
      )}
      {kind.items && thing.items && <ItemsTable kind={kind} items={kind.items} thing={thing} />}
      <div className="acts">
        {kind.isNamed && <TextField label="Name" value={name} edit={(next) => ({ kind: 'renameThing', of: kind.code, id, name: next })} />}
        <Button size="small" onClick={() => void copy()}>
          Add one like it
        </Button>
        {thing.uses.length === 0 ? (
          <Button size="small" disabled={thing.stays !== null} onClick={() => void remove(null)} aria-label={`Remove ${name}`}>
            Remove
          </Button>
        ) : (
          <Dropdown
            trigger={['click']}
            disabled={others.length < 2 || thing.stays !== null}
            menu={{
              items: others.filter((o) => o.id !== id).map((o) => ({ key: o.id, label: `${o.name} takes its place` })),
              onClick: ({ key }) => void remove(key),
            }}
          >
            <Button size="small" aria-label={`Remove ${name}: choose what takes its place`}>
              Remove…
            </Button>
          </Dropdown>
        )}
      </div>
      <Problem text={problem} />
    </section>
  );
}

/** A name for a copy that is not taken, however often one is made. */
function freeName(name: string, others: readonly ThingView[]): string {
  for (let n = 1; ; n++) {
    const free = n === 1 ? `${name} copy` : `${name} copy ${n}`;
    if (!others.some((o) => o.name.toLowerCase() === free.toLowerCase())) return free;
  }
}
