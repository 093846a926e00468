import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import type { Schemas, SettingView, ThingView } from '../api/client';
import { noteOf } from '../site/catalogue';
import { useActions } from '../site/editingContext';
import { groupBy } from '../ui/groupBy';
import { Problem } from '../ui/Problem';
import { Shortened } from '../ui/Shortened';
import { usesText } from '../ui/words';
import { TextField } from '../values/TextField';
import { freeName } from './freeName';
import { ItemsTable } from './ItemsTable';
import { Order } from './Order';
import { RemoveThing } from './RemoveThing';
import { ThingField } from './ThingField';
import { UsesMenu } from './UsesMenu';
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
  /** Whether that shows its items, too. */
  drawsItems?: boolean;
}

/** How the note of a setting begins that cannot show just now. */
const IDLE = 'shows once';

const idleNote = (thing: ThingView, field: string): string => {
  const note = noteOf(thing, field);
  return note.startsWith(IDLE) ? note : '';
};

/** What a thing is made of, its name, and its end. */
export function ThingEditor({ kind, thing, others, onCopied, onRemoved, children, drawsItems = false }: Props) {
  const { make } = useActions();
  const [problem, setProblem] = useState<string | null>(null);
  const { id, name } = thing;
  const copy = async () => {
    const copied = crypto.randomUUID();
    const free = freeName(name, 'copy', others);
    const wrong = await make(
      { kind: 'addThing', of: kind.code, id: copied, name: free, like: id, values: null, in: null },
      { saidAtItsPlace: true },
    );
    setProblem(wrong);
    if (wrong === null) onCopied(copied);
  };
  const move = async (to: number) =>
    setProblem(await make({ kind: 'moveThing', of: kind.code, id, to, in: null }, { saidAtItsPlace: true }));
  const remove = async (by: string | null) => {
    const wrong = await make({ kind: 'removeThing', of: kind.code, id, by, in: null }, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) onRemoved(by);
  };
  const groups = [...groupBy(kind.fields, (f) => f.group)];
  // What cannot show at all just now is a line with the reason.
  const reason = (fields: readonly SettingView[]) => {
    const notes = new Set(fields.map((f) => idleNote(thing, f.id)));
    return notes.size === 1 ? ([...notes][0] ?? '') : '';
  };
  const settings = (fields: readonly SettingView[], label: string, heading?: string) => (
    <table key={label} className="values settings" aria-label={label}>
      {heading && (
        <thead>
          <tr>
            <th scope="colgroup" colSpan={2}>
              {heading} {heading && reason(fields) && <span className="quiet idle-note">{reason(fields)}</span>}
            </th>
          </tr>
        </thead>
      )}
      <tbody>
        {(heading && reason(fields) ? [] : fields).map((setting) => {
          const value = thing.fields.find((f) => f.id === setting.id);
          return (
            value && (
              <tr key={setting.id} className={value.note.startsWith(IDLE) ? 'idle' : ''} title={value.note || undefined}>
                <th scope="row">{setting.name}</th>
                <td>
                  <ThingField kind={kind.code} thing={thing} setting={setting} value={value} />
                </td>
              </tr>
            )
          );
        })}
      </tbody>
    </table>
  );
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
      {groups.length > 1 ? (
        <div className="setting-groups">{groups.map(([group, fields]) => settings(fields, `${group} of ${name}`, group))}</div>
      ) : (
        kind.fields.length > 0 && settings(kind.fields, `Settings of ${name}`)
      )}
      {!drawsItems && kind.items && thing.items && <ItemsTable kind={kind} items={kind.items} thing={thing} />}

      <div className="acts">
        {kind.isNamed && <TextField label="Name" value={name} edit={(next) => ({ kind: 'renameThing', of: kind.code, id, name: next })} />}
        {kind.comesWith === null && (
          <Button size="small" onClick={() => void copy()}>
            Add one like it
          </Button>
        )}
        <UsesMenu kind={kind.code} thing={thing} />
        <RemoveThing thing={thing} others={others} onRemove={(by) => void remove(by)} />
        <span>
          <Order called={name} place={others.indexOf(thing)} count={others.length} onMove={(to) => void move(to)} onRemove={null} />
        </span>
      </div>
      <Problem text={problem} />
    </section>
  );
}
