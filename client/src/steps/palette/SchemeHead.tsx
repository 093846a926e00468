import { Button, Select } from 'antd';
import { useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useSetAddress } from '../../site/address';
import { fieldText, kindOf, thingOf, thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useStageView } from '../../stage/view';
import { freeName } from '../../things/freeName';
import { RemoveThing } from '../../things/RemoveThing';
import { Problem } from '../../ui/Problem';
import { TextField } from '../../values/TextField';

type SchemeView = Schemas['SchemeView'];

export const setScheme = (id: string, field: string, text: string): Edit => ({ kind: 'setThing', of: 'scheme', id, field, text, in: null });

/** Which scheme is worked on, what it turns into, and where schemes come from: copied, or turned from light to dark and back. */
export function SchemeHead({ scheme, schemes }: { scheme: SchemeView; schemes: readonly SchemeView[] }) {
  const setAddress = useSetAddress();
  const { make } = useActions();
  const things = useEditing((e) => thingsOf(e.site, 'scheme'));
  const thing = useEditing((e) => thingOf(e.site, 'scheme', scheme.id));
  const stays = useEditing((e) => kindOf(e.catalogue, 'scheme')?.fields.find((f) => f.id === 'turns-into')?.words[0] ?? '');
  const [view, show] = useStageView();
  const [problem, setProblem] = useState<string | null>(null);
  const others = schemes.filter((s) => s.id !== scheme.id);
  const work = (id: string) => setAddress({ scheme: id });
  const add = async (edit: (id: string) => Edit) => {
    const id = crypto.randomUUID();
    const wrong = await make(edit(id), { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) work(id);
  };
  const remove = async (by: string | null) => {
    const wrong = await make({ kind: 'removeThing', of: 'scheme', id: scheme.id, by, in: null }, { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong === null) work(by ?? '');
  };
  const beside = view.span === 'schemes' ? (others.find((s) => view.schemes.includes(s.id))?.id ?? '') : '';
  return (
    <>
      <div className="subhead">
        <Select
          aria-label="Scheme"
          size="small"
          value={scheme.id}
          options={schemes.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(id: string) => {
            work(id);
            if (beside !== '') show({ schemes: id === beside ? [scheme.id, id] : [id, beside] });
          }}
        />
        <span className="turns">
          <span className="quiet">Visitor prefers dark:</span>
          <Select
            aria-label={`What ${scheme.name} turns into when the visitor prefers dark`}
            size="small"
            value={fieldText(thing, 'turns-into')}
            options={[{ value: stays, label: stays }, ...others.map((s) => ({ value: s.name, label: `turns into ${s.name}` }))]}
            popupMatchSelectWidth={false}
            onChange={(text: string) => void make(setScheme(scheme.id, 'turns-into', text))}
          />
        </span>
      </div>
      <div className="scheme-acts">
        <TextField label="Name" value={scheme.name} edit={(name) => ({ kind: 'renameThing', of: 'scheme', id: scheme.id, name })} />
        <Button
          size="small"
          onClick={() =>
            void add((id) => ({
              kind: 'addThing',
              of: 'scheme',
              id,
              name: freeName(scheme.name, 'copy', schemes),
              like: scheme.id,
              values: null,
              in: null,
            }))
          }
        >
          Add one like it
        </Button>
        <Button
          size="small"
          title="A new scheme with the same colours, light and dark turned round"
          onClick={() => void add((id) => ({ kind: 'turnScheme', id, name: freeName(scheme.name, 'turned', schemes), of: scheme.id }))}
        >
          Turn
        </Button>
        {thing && <RemoveThing thing={thing} others={things} onRemove={(by) => void remove(by)} />}
        <Select
          size="small"
          aria-label="Scheme beside it on the stage"
          value={beside}
          disabled={others.length === 0}
          options={[{ value: '', label: 'Beside nothing' }, ...others.map((s) => ({ value: s.id, label: `Beside ${s.name}` }))]}
          popupMatchSelectWidth={false}
          onChange={(id: string) => show(id === '' ? { span: 'one', schemes: [] } : { span: 'schemes', schemes: [scheme.id, id] })}
        />
      </div>
      <Problem text={problem} />
    </>
  );
}
