import { Button, Tooltip } from 'antd';
import { useState, type ReactNode } from 'react';
import type { Schemas, ThingView } from '../api/client';
import { namesIn } from '../site/catalogue';
import { useActions, useEditing } from '../site/editingContext';
import { MenuButton } from '../ui/MenuButton';
import { Problem } from '../ui/Problem';
import { Shortened } from '../ui/Shortened';
import { usesText } from '../ui/words';
import { TextField } from '../values/TextField';
import { ValueCell } from '../values/ValueCell';
import { ItemsTable } from './ItemsTable';
import './ThingEditor.css';

interface Props {
  kind: Schemas['KindView'];
  thing: ThingView;
  /** All of its kind. */
  others: readonly ThingView[];
  onCopied: (id: string) => void;
  /** @param by what took its place, where something did */
  onRemoved: (by: string | null) => void;
  /** What is shown of it besides, above its settings. */
  children?: ReactNode;
}

/** What a thing is made of, its name, and its end. */
export function ThingEditor({ kind, thing, others, onCopied, onRemoved, children }: Props) {
  const { make } = useActions();
  const names = useEditing((e) => e.site.names);
  const [problem, setProblem] = useState<string | null>(null);
  const { id, name } = thing;
  const copy = async () => {
    const copied = crypto.randomUUID();
    const free = freeName(name, others);
    const wrong = await make(
      { kind: 'addThing', of: kind.code, id: copied, name: free, like: id, values: null, in: null },
      { saidAtItsPlace: true },
    );
    setProblem(wrong);
    if (wrong === null) onCopied(copied);
  };
  const stays =
    thing.stays ?? (thing.uses.length > 0 && others.length < 2 ? 'It is in use, and there is no other to take its place.' : null);
  const remove = async (by: string | null) => {
    const wrong = await make({ kind: 'removeThing', of: kind.code, id, by, in: null }, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onRemoved(by);
  };
  return (
    <section className="thing-editor" aria-label={`${kind.name} ${name}`}>
      <div className="subhead">
        <strong title={name}>
          <Shortened text={name} />
        </strong>
        {thing.token ? (
          <code className="quiet" title={thing.token}>
            {thing.token}
          </code>
        ) : (
          <span className="quiet" title={thing.uses.join('\n')}>
            {usesText(thing.uses)}
          </span>
        )}
      </div>
      {children}
      {kind.fields.length > 0 && (
        <table className="values settings" aria-label={`Settings of ${name}`}>
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
                        inherited={null}
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
        <Tooltip title={stays} trigger={['hover', 'focus']}>
          {thing.uses.length === 0 ? (
            <Button size="small" disabled={stays !== null} onClick={() => void remove(null)} aria-label={`Remove ${name}`}>
              Remove
            </Button>
          ) : (
            <span>
              <MenuButton
                size="small"
                disabled={stays !== null}
                aria-label={`Remove ${name}: choose what takes its place`}
                menu={{
                  items: others.filter((o) => o.id !== id).map((o) => ({ key: o.id, label: `${o.name} takes its place` })),
                  onClick: ({ key }) => void remove(key),
                }}
              >
                Remove…
              </MenuButton>
            </span>
          )}
        </Tooltip>
      </div>
      <Problem text={problem} />
    </section>
  );
}

/** A name for a copy that is not taken, however often one is made, of a copy too. */
function freeName(of: string, others: readonly ThingView[]): string {
  const name = of.replace(/ copy( \d+)?$/, '');
  for (let n = 1; ; n++) {
    const free = n === 1 ? `${name} copy` : `${name} copy ${n}`;
    if (!others.some((o) => o.name.toLowerCase() === free.toLowerCase())) return free;
  }
}
