import { Input, Select } from 'antd';
import { useId, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Edit, LookView, Schemas } from '../api/client';
import { looksOf, partOf } from '../site/catalogue';
import { useActions, useEditing } from '../site/editingContext';
import { LinkField } from '../values/LinkField';
import { PictureField } from '../values/PictureField';
import { ValueCell } from '../values/ValueCell';
import { useTriedChoice } from '../values/useTriedChoice';
import { useTypedText } from '../values/useTypedText';
import { Problem } from '../ui/Problem';
import './BlockContent.css';

type Block = Schemas['BlockView'];
type Slot = Schemas['SlotView'];

/** What a block and the blocks inside it hold, slot by slot. */
export function BlockContent({ block }: { block: Block }) {
  const rows: { block: Block; depth: number }[] = [];
  const walk = (inner: Block, depth: number) => {
    rows.push({ block: inner, depth });
    for (const one of inner.blocks) walk(one, depth + 1);
  };
  walk(block, 0);
  return (
    <table className="values content" aria-label={`What the ${block.name.toLowerCase()} holds`}>
      {rows.map(({ block: inner, depth }) => (
        <BlockSlots key={inner.id} block={inner} isNamed={depth > 0} />
      ))}
    </table>
  );
}

/** What a block itself holds, and the look it wears, as rows of a table. */
export function BlockSlots({ block, isNamed = false }: { block: Block; isNamed?: boolean }) {
  const part = useEditing((e) => partOf(e.catalogue, block.part));
  const site = useEditing((e) => e.site);
  const looks = looksOf(site, block.part);
  // What only groups others has nothing to fill in.
  if (!part || (part.slots.length === 0 && looks.length < 2)) return null;
  return (
    <tbody>
      {isNamed && (
        <tr className="group-row">
          <th scope="colgroup" colSpan={2}>
            {part.name}
          </th>
        </tr>
      )}
      {part.slots.map((slot) => (
        <tr key={slot.id}>
          <th scope="row">{slot.name}</th>
          <td>
            <SlotValue block={block} slot={slot} label={`${slot.name} of ${part.name.toLowerCase()} ${block.name}`} />
          </td>
        </tr>
      ))}
      {looks.length > 1 && (
        <tr>
          <th scope="row">Look</th>
          <td>
            <LookChoice block={block} name={part.name} looks={looks} />
          </td>
        </tr>
      )}
    </tbody>
  );
}

function LookChoice({ block, name, looks }: { block: Block; name: string; looks: readonly LookView[] }) {
  const tried = useTriedChoice((look) => ({ kind: 'setBlockLook', block: block.id, look }));
  return (
    <Select
      aria-label={`Look of ${name.toLowerCase()} ${block.name}`}
      variant="borderless"
      className="value-choice"
      value={block.look}
      options={looks.map((l) => ({ value: l.id, label: l.name }))}
      {...tried}
    />
  );
}

function SlotValue({ block, slot, label }: { block: Block; slot: Slot; label: string }) {
  const held = block.content[slot.id] ?? '';
  const edit = (text: string | null): Edit => ({ kind: 'setContent', block: block.id, slot: slot.id, text: text ?? '' });
  switch (slot.kind) {
    case 'text':
    case 'spoken':
      return <ValueCell name={label} text={held || null} inherited="nothing" names={[]} edit={edit} isWords />;
    case 'list':
    case 'table':
      return <Lines label={label} held={held} edit={edit} />;
    case 'link':
      return <LinkChoice label={label} held={held} edit={edit} />;
    case 'picture':
      return <PictureField spot={{ block: block.id }} isRequired={slot.required} label={label} held={held} edit={edit} />;
    default:
      return <Choice slot={slot} label={label} held={held} edit={edit} />;
  }
}

interface ValueProps {
  label: string;
  held: string;
  edit: (text: string | null) => Edit;
}

/** Several lines: shown on the stage while typing, made on leaving. */
function Lines({ label, held, edit }: ValueProps) {
  const typed = useTypedText({ name: label, value: held, edit, canBeEmpty: true });
  const id = useId();
  return (
    <>
      <Input.TextArea
        aria-label={label}
        className="mono"
        autoSize={{ minRows: 2, maxRows: 10 }}
        value={typed.text}
        status={typed.problem ? 'error' : ''}
        onChange={(event) => typed.type(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') typed.abandon();
        }}
        aria-invalid={typed.problem !== null}
        aria-describedby={typed.problem === null ? undefined : id}
        onBlur={typed.leave}
      />
      <Problem text={typed.problem} id={id} />
    </>
  );
}

function LinkChoice({ label, held, edit }: ValueProps) {
  const { make } = useActions();
  const page = useEditing((e) => e.site.pages[0]?.id ?? '');
  const [params] = useSearchParams();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <LinkField
      label={label}
      held={held}
      page={params.get('page') ?? page}
      problem={problem}
      onChoose={(to) => void make(edit(to), { saidAtItsPlace: true }).then(setProblem)}
    />
  );
}

/** A menu, a category of posts, or a word. */
function Choice({ slot, label, held, edit }: ValueProps & { slot: Slot }) {
  const tried = useTriedChoice(edit);
  const menus = useEditing((e) => e.site.menus);
  const categories = useEditing((e) => e.site.categories);
  const among =
    slot.kind === 'choice'
      ? slot.words.map((w) => ({ value: w.code, label: w.label }))
      : (slot.kind === 'menu' ? menus : categories).map((m) => ({ value: m.id, label: m.name }));
  const options = slot.required || slot.kind === 'choice' ? among : [{ value: '', label: slot.kind === 'menu' ? 'none' : 'all' }, ...among];
  return (
    <Select
      aria-label={label}
      variant="borderless"
      className="value-choice"
      value={held || (slot.kind === 'choice' && slot.words[0]?.code) || ''}
      options={options}
      {...tried}
    />
  );
}
