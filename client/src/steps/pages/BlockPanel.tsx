import { Button, Checkbox, Select } from 'antd';
import type { Edit, Schemas } from '../../api/client';
import { BlockSlots } from '../../content/BlockContent';
import { partOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { MenuButton } from '../../ui/MenuButton';
import { ValueCell } from '../../values/ValueCell';
import { OwnValues } from './OwnValues';
import { refusalOf, type Row } from './outline';

interface Props {
  row: Row;
  rows: readonly Row[];
  page: Schemas['PageView'];
  choose: (id: string | null) => void;
}

/** The windows at which a block can be hidden, as the breaks part them. */
const WIDTHS = [
  { value: 'narrow', label: 'below 600' },
  { value: 'middle', label: '600 to 820' },
  { value: 'wide', label: 'from 820' },
] as const;

/** The chosen block: what it holds, what it is called, where it is shown, and what can be done with it. */
export function BlockPanel({ row, rows, page, choose }: Props) {
  const { block } = row;
  const { make } = useActions();
  const catalogue = useEditing((e) => e.catalogue);
  const schemes = useEditing((e) => e.site.schemes);
  const pages = useEditing((e) => e.site.pages);
  const part = partOf(catalogue, block.part);
  const set =
    (field: Schemas['BlockField']) =>
    (text: string | null): Edit => ({ kind: 'setBlock', block: block.id, field, text: text ?? '' });
  const wrappers = catalogue.parts.filter(
    (p) =>
      p.holdsBlocks &&
      refusalOf(catalogue, p.id, row.parent) === null &&
      (part?.id === 'section' || refusalOf(catalogue, block.part, { ...block, part: p.id }) === null),
  );
  const beside = (row.count > 1 ? rows.find((r) => r.parent === row.parent && r.at === (row.at > 0 ? row.at - 1 : 1)) : undefined)?.block
    .id;
  const act = async (edit: Edit, next: string | null) => {
    if ((await make(edit)) === null) choose(next);
  };
  const copy = () => {
    const id = crypto.randomUUID();
    void act({ kind: 'duplicateBlock', block: block.id, id }, id);
  };
  return (
    <section className="block-panel" aria-label={`Block ${block.name}`}>
      <div className="subhead">
        <strong>{part?.name}</strong>
        <span className="acts">
          <Button size="small" onClick={copy}>
            Duplicate
          </Button>
          <MenuButton
            size="small"
            menu={{
              items: [
                ...wrappers.map((p) => ({
                  key: `wrap ${p.id}`,
                  label: `Put into a ${p.name.toLowerCase()}`,
                  onClick: () => {
                    const id = crypto.randomUUID();
                    void act({ kind: 'wrapBlocks', blockIds: [block.id], part: p.id, look: null, id }, id);
                  },
                })),
                {
                  key: 'unwrap',
                  label: `Take the ${part?.name.toLowerCase() ?? 'block'} away from around what it holds`,
                  disabled: block.blocks.length === 0,
                  onClick: () => void act({ kind: 'unwrapBlock', block: block.id }, block.blocks[0]?.id ?? null),
                },
                ...pages
                  .filter((p) => p.id !== page.id && row.parent === null)
                  .slice(0, 12)
                  .map((p) => ({
                    key: `to ${p.id}`,
                    label: `Move to ${p.name}`,
                    onClick: () =>
                      void act({ kind: 'moveBlock', block: block.id, page: p.id, parent: null, at: p.sections.length }, beside ?? null),
                  })),
              ],
            }}
          >
            Arrange
          </MenuButton>
          <Button size="small" onClick={() => void act({ kind: 'setBlockAside', block: block.id }, beside ?? row.parent?.id ?? null)}>
            Set aside
          </Button>
          <Button size="small" onClick={() => void act({ kind: 'removeBlock', block: block.id }, beside ?? row.parent?.id ?? null)}>
            Remove
          </Button>
        </span>
      </div>
      {/* Long lists scroll, and are reached by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div className="scroll" tabIndex={0} role="group" aria-label={`Settings of ${block.name}`}>
        <table className="values content" aria-label={`What ${block.name} holds`}>
          <BlockSlots block={block} />
          <tbody>
            <tr>
              <th scope="row">Called</th>
              <td>
                <ValueCell name={`Name of ${block.name}`} text={block.name} inherited={null} names={[]} isWords edit={set('name')} />
              </td>
            </tr>
            <tr>
              <th scope="row">Address on the page</th>
              <td>
                <ValueCell
                  name={`Address of ${block.name}`}
                  text={block.address || null}
                  inherited="none"
                  names={[]}
                  isWords
                  edit={set('address')}
                />
              </td>
            </tr>
            <tr>
              <th scope="row">Classes</th>
              <td>
                <ValueCell
                  name={`Classes of ${block.name}`}
                  text={block.classes || null}
                  inherited="none"
                  names={[]}
                  isWords
                  edit={set('classes')}
                />
              </td>
            </tr>
            <tr>
              <th scope="row">Scheme</th>
              <td>
                <Select
                  aria-label={`Scheme of ${block.name}`}
                  variant="borderless"
                  className="value-choice"
                  value={block.scheme ?? ''}
                  options={[{ value: '', label: 'the one around it' }, ...schemes.map((s) => ({ value: s.id, label: s.name }))]}
                  onChange={(scheme: string) => void make({ kind: 'setBlockScheme', block: block.id, scheme: scheme || null })}
                />
              </td>
            </tr>
            <tr>
              <th scope="row">Hidden</th>
              <td>
                <Checkbox.Group
                  className="hidden-at"
                  aria-label={`Widths at which ${block.name} is hidden`}
                  options={[...WIDTHS]}
                  value={[...block.hiddenAt]}
                  onChange={(widths) => void make(set('hiddenAt')(widths.join(' ')))}
                />
              </td>
            </tr>
          </tbody>
        </table>
        <OwnValues block={block} />
      </div>
    </section>
  );
}
