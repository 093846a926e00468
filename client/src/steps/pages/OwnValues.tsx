import { Button, Input, Select } from 'antd';
import { useState } from 'react';
import type { CellView, Edit, Schemas, State } from '../../api/client';
import { ALL_WIDTHS, STATE_NAMES, WIDTH_CHOICES } from '../../ledger/cells';
import { namesIn, partOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useSending } from '../../site/useDraft';
import { ValueCell } from '../../values/ValueCell';
import { Problem } from '../../ui/Problem';
import { MenuButton } from '../../ui/MenuButton';
import { calledIn, rowsOf, type Block } from '../../site/outline';

/** Stands for all sides or corners at once. */
const ALL_SIDES = 'all';

/** The values in which a block differs from its look, and what can be done about them. */
export function OwnValues({ block }: { block: Block }) {
  const { make } = useActions();
  const part = useEditing((e) => partOf(e.catalogue, block.part));
  const look = useEditing((e) => e.site.looks.find((l) => l.id === block.look));
  const names = useEditing((e) => e.site.names);
  if (!part || !look) return null;
  const property = (id: string) => part.properties.find((p) => p.setting.id === id);
  const others = look.wearers - 1;
  return (
    <>
      <div className="subhead">
        <strong>Its own values</strong>
        <span className="quiet">{block.own.length === 0 ? `none: as ${look.name}` : `where it differs from ${look.name}`}</span>
      </div>
      {block.own.length > 0 && (
        <table className="values own-values" aria-label={`Own values of ${block.name}`}>
          <tbody>
            {block.own.map((cell) => {
              const setting = property(cell.property)?.setting;
              if (!setting) return null;
              const name = `${setting.name}${where(cell)}`;
              return (
                <tr key={`${cell.property} ${cell.state} ${cell.from} ${cell.below}`}>
                  <th scope="row">{name}</th>
                  <td>
                    <ValueCell
                      name={`${name} of ${block.name}`}
                      text={cell.text}
                      inherited={null}
                      names={namesIn(names, setting)}
                      note={cell.note}
                      swatch={cell.swatch}
                      edit={(text) => setOwn(block.id, cell, text)}
                    />
                  </td>
                  <td className="quiet">{inLook(look, cell)}</td>
                  <td className="order">
                    <button
                      type="button"
                      className="small-button"
                      aria-label={`Drop ${name}: as its look`}
                      title="Drop: as its look"
                      onClick={() => void make(setOwn(block.id, cell, null))}
                    >
                      ×
                    </button>
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
      <AddOwn block={block} part={part} />
      {block.own.length > 0 && (
        <div className="own-acts">
          <Button
            size="small"
            title={`${others === 1 ? '1 other block wears' : `${others} other blocks wear`} ${look.name}`}
            onClick={() => void make({ kind: 'promoteOwn', block: block.id, property: null })}
          >
            Give them to {look.name}: {others === 1 ? '1 other follows' : `${others} others follow`}
          </Button>
          <Button size="small" disabled={others === 0} onClick={() => void make({ kind: 'copyOwn', block: block.id, to: [] })}>
            Copy to all of {look.name}
          </Button>
          <CopyTo block={block} />
          <Button size="small" onClick={() => void make({ kind: 'dropOwn', block: block.id, property: null })}>
            Drop all
          </Button>
          <MenuButton
            size="small"
            menu={{
              items: [...new Set(block.own.map((o) => o.property))].map((id) => ({
                key: id,
                label: `Every own ${property(id)?.setting.name.toLowerCase() ?? 'value'} of every ${part.name.toLowerCase()}`,
                onClick: () => void make({ kind: 'dropOwnEverywhere', part: block.part, property: id }),
              })),
            }}
          >
            Drop everywhere
          </MenuButton>
          <NewLook block={block} />
        </div>
      )}
    </>
  );
}

/** Gives chosen blocks of the same part what this one has of its own. */
function CopyTo({ block }: { block: Block }) {
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages);
  const catalogue = useEditing((e) => e.catalogue);
  const look = useEditing((e) => e.site.looks.find((l) => l.id === block.look)?.name);
  const part = partOf(catalogue, block.part);
  const [to, setTo] = useState<string[]>([]);
  const others = pages.flatMap((page) =>
    rowsOf(page.sections)
      .map((row) => row.block)
      .filter((b) => b.part === block.part && b.id !== block.id)
      .map((b) => ({ value: b.id, label: `${calledIn(catalogue, b, look) || b.name} · ${page.name}` })),
  );
  return (
    <span className="copy-to">
      <Select
        mode="multiple"
        size="small"
        aria-label={`Blocks that get the own values of ${block.name}`}
        placeholder="Copy to…"
        maxTagCount="responsive"
        showSearch={{ optionFilterProp: 'label' }}
        value={to}
        options={others}
        popupMatchSelectWidth={320}
        notFoundContent={`No other ${part?.name.toLowerCase() ?? 'block'} stands on a page.`}
        onChange={setTo}
      />
      {to.length > 0 && (
        <Button
          size="small"
          onClick={() =>
            void make({ kind: 'copyOwn', block: block.id, to }).then((wrong) => {
              if (wrong === null) setTo([]);
            })
          }
        >
          Copy to {to.length}
        </Button>
      )}
    </span>
  );
}

const where = ({ state, from, below }: CellView): string =>
  [
    state === 'rest' ? '' : ` in ${STATE_NAMES[state]}`,
    from == null && below == null ? '' : ` at ${from ?? 0}${below == null ? ' and wider' : ` to ${below}`}`,
  ].join('');

/** What the look has in its place. */
const inLook = (look: Schemas['LookView'], own: CellView): string => {
  const cell =
    look.cells.find((c) => c.property === own.property && c.state === own.state && c.from === own.from && c.below === own.below) ??
    look.cells.find((c) => c.property === own.property && c.state === 'rest');
  return cell ? `look: ${cell.text}` : 'look: not set';
};

const setOwn = (
  block: string,
  { property, state, from, below }: Pick<CellView, 'property' | 'state' | 'from' | 'below'>,
  text: string | null,
): Edit => ({
  kind: 'setOwn',
  block,
  property,
  state,
  from: from ?? null,
  below: below ?? null,
  text,
});

/** Another own value: chosen by its setting, and where it holds by state, width and side; then typed. */
function AddOwn({ block, part }: { block: Block; part: Schemas['PartView'] }) {
  const [id, setId] = useState<string | null>(null);
  const [state, setState] = useState<State>('rest');
  const [at, setAt] = useState('all');
  const [side, setSide] = useState(ALL_SIDES);
  const names = useEditing((e) => e.site.names);
  const property = part.properties.find((p) => p.setting.id === id);
  const states = property?.sameInAllStates ? [] : part.states;
  const sides = property?.sides ?? [];
  const { widths } = WIDTH_CHOICES.find((c) => c.value === at) ?? { widths: ALL_WIDTHS };
  const cell = { property: id ?? '', state, ...widths };
  const held = block.own.find(
    (o) => o.property === id && o.state === state && (o.from ?? null) === widths.from && (o.below ?? null) === widths.below,
  );
  const text = side === ALL_SIDES ? held?.text : (held?.sides?.[Number(side)] ?? held?.text);
  const of = `own ${property?.setting.name ?? 'value'} of ${block.name}`;
  const choose = (next: string) => {
    setId(next);
    setState('rest');
    setSide(ALL_SIDES);
  };
  return (
    <div className="add-own">
      <Select
        size="small"
        showSearch={{ optionFilterProp: 'label' }}
        aria-label={`Setting of ${block.name} to differ in`}
        placeholder="Differ in…"
        value={id}
        options={part.properties.map((p) => ({ value: p.setting.id, label: p.setting.name }))}
        popupMatchSelectWidth={220}
        onChange={choose}
      />
      {property && states.length > 1 && (
        <Select
          size="small"
          aria-label={`State of the ${of}`}
          value={state}
          options={states.map((one) => ({ value: one, label: STATE_NAMES[one] }))}
          popupMatchSelectWidth={false}
          onChange={setState}
        />
      )}
      {property && (
        <Select
          size="small"
          aria-label={`Widths of the ${of}`}
          value={at}
          options={WIDTH_CHOICES.map(({ value, label }) => ({ value, label }))}
          popupMatchSelectWidth={false}
          onChange={setAt}
        />
      )}
      {property && sides.length > 0 && (
        <Select
          size="small"
          aria-label={`Side of the ${of}`}
          value={side}
          options={[{ value: ALL_SIDES, label: 'all of it' }, ...sides.map((label, n) => ({ value: String(n), label }))]}
          popupMatchSelectWidth={false}
          onChange={setSide}
        />
      )}
      {property && (
        <ValueCell
          key={[id, state, at, side].join()}
          name={`O${of.slice(1)}`}
          text={text ?? null}
          inherited="as its look"
          names={namesIn(names, property.setting)}
          edit={(typed) => ({ ...setOwn(block.id, cell, typed), ...(typed !== null && side !== ALL_SIDES && { side: Number(side) }) })}
        />
      )}
    </div>
  );
}

/** Makes a look of what the block has of its own. */
function NewLook({ block }: { block: Block }) {
  const { make } = useActions();
  const [name, setName] = useState('');
  const { problem, sending, submit, mend } = useSending(() =>
    make({ kind: 'ownToLook', block: block.id, id: crypto.randomUUID(), name }, { saidAtItsPlace: true }),
  );
  return (
    <form className="add-form" aria-label="Make a look of them" onSubmit={submit}>
      <Input
        size="small"
        aria-label="Name of the new look"
        placeholder="a new look’s name"
        value={name}
        onChange={(event) => {
          setName(event.target.value);
          mend();
        }}
      />
      <Button size="small" htmlType="submit" loading={sending}>
        Make a look of them
      </Button>
      <Problem text={problem} />
    </form>
  );
}
