import { App, Button, Checkbox } from 'antd';
import { useState } from 'react';
import { answered, api, type Edit, type Schemas } from '../../api/client';
import { BlockSlots } from '../../content/BlockContent';
import { SchemeChoice } from '../../content/SchemeChoice';
import { partOf } from '../../site/catalogue';
import { useChangeAddress } from '../../site/address';
import { useActions, useEditing } from '../../site/editingContext';
import { writeView } from '../../stage/view';
import { MenuButton } from '../../ui/MenuButton';
import { ValueCell } from '../../values/ValueCell';
import { OwnValues } from './OwnValues';
import { PlaceDialog } from './PlaceDialog';
import { SnippetDialog } from './SnippetDialog';
import { placesOf, refusalOf, wrappersOf, type Block, type Row } from '../../site/outline';

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

/** Ids of the looks in which a group is a box: they stay whatever the looks are called. */
const BOXES = ['group-box', 'group-featured'];

/** A part in a sentence: columns are several. */
const aPart = (name: string): string => (name.endsWith('s') ? name.toLowerCase() : `a ${name.toLowerCase()}`);

/** The chosen block: what it holds, what it is called, where it is shown, and what can be done with it. */
export function BlockPanel({ row, rows, page, choose }: Props) {
  const { block } = row;
  const { make } = useActions();
  const catalogue = useEditing((e) => e.catalogue);
  const part = partOf(catalogue, block.part);
  const set =
    (field: Schemas['BlockField']) =>
    (text: string | null): Edit => ({ kind: 'setBlock', block: block.id, field, text: text ?? '' });
  const wrappers = wrappersOf(catalogue, [block], row.parent);
  const looks = useEditing((e) => e.site.looks);
  // What a block is put into, and in which look: a box is a group that looks like one.
  const into = wrappers.flatMap((p) => [
    { part: p.id, look: null, says: aPart(p.name) },
    ...(p.id === 'group'
      ? looks
          .filter((l) => l.part === p.id && BOXES.includes(l.id))
          .map((l) => ({ part: p.id, look: l.id, says: `a ${l.name.toLowerCase()}` }))
      : []),
  ]);
  const beside = (row.count > 1 ? rows.find((r) => r.parent === row.parent && r.at === (row.at > 0 ? row.at - 1 : 1)) : undefined)?.block
    .id;
  const act = async (edit: Edit, next: string | null) => {
    if ((await make(edit)) === null) choose(next);
  };
  const site = useEditing((e) => e.site);
  const places = placesOf(site, block);
  const { pages, slug } = site;
  const { modal } = App.useApp();
  const becomes = catalogue.parts.filter((p) => p.id !== block.part && refusalOf(catalogue, p.id, row.parent) === null);
  const become = async (to: Schemas['PartView']) => {
    const edit: Edit = { kind: 'changePart', block: block.id, part: to.id, id: crypto.randomUUID() };
    const { left } = await answered(
      api.GET('/api/sites/{slug}/blocks/{block}/as/{part}', { params: { path: { slug, block: block.id, part: to.id } } }),
    ).catch((): Schemas['PartChangeView'] => ({ left: [] }));
    if (left.length === 0) void make(edit);
    else
      modal.confirm({
        title: `Make it ${aPart(to.name)}?`,
        content: `In ${aPart(to.name)} is no place for ${left.join(', ')}. As it is now, it is kept under Set aside.`,
        okText: 'Make it one',
        onOk: () => make(edit),
      });
  };
  const [taking, setTaking] = useState(false);
  const [placing, setPlacing] = useState<'move' | 'share' | null>(null);
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
                ...into.map(({ part: to, look, says }) => ({
                  key: `wrap ${to} ${look ?? ''}`,
                  label: `Put into ${says}`,
                  onClick: () => {
                    const id = crypto.randomUUID();
                    void act({ kind: 'wrapBlocks', blockIds: [block.id], part: to, look, id }, id);
                  },
                })),
                {
                  key: 'unwrap',
                  label: `Take the ${part?.name.toLowerCase() ?? 'block'} away from around what it holds`,
                  disabled: block.blocks.length === 0,
                  onClick: () => void act({ kind: 'unwrapBlock', block: block.id }, block.blocks[0]?.id ?? null),
                },
                ...(becomes.length === 0
                  ? []
                  : [
                      {
                        key: 'become',
                        label: 'Make it…',
                        children: becomes.map((p) => ({ key: `become ${p.id}`, label: p.name, onClick: () => void become(p) })),
                      },
                    ]),
                { key: 'move', label: 'Move it to another page…', onClick: () => setPlacing('move') },
                { key: 'share', label: 'Show it in another place too…', onClick: () => setPlacing('share') },
                { key: 'take', label: 'Take it away as a snippet…', onClick: () => setTaking(true) },
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
                <SchemeChoice
                  label={`Scheme of ${block.name}`}
                  scheme={block.scheme ?? null}
                  around="the one around it"
                  onChange={(scheme) => void make({ kind: 'setBlockScheme', block: block.id, scheme })}
                />
              </td>
            </tr>
            {places.length > 1 && (
              <tr>
                <th scope="row">Shown in</th>
                <td>
                  <ShownIn block={block} places={places} />
                </td>
              </tr>
            )}
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
      {placing && (
        <PlaceDialog
          title={placing === 'move' ? `Move ${block.name} to another page` : `Show ${block.name} in another place too`}
          act={placing === 'move' ? 'Move it' : 'Show it there'}
          blocks={[block]}
          page={(placing === 'move' ? pages.find((p) => p.id !== page.id) : undefined)?.id ?? page.id}
          edit={(to, spot) =>
            placing === 'move'
              ? { kind: 'moveBlocks', blockIds: [block.id], page: to, ...spot }
              : { kind: 'shareBlock', block: block.id, id: crypto.randomUUID(), page: to, ...spot }
          }
          onPlaced={(to) => {
            if (placing === 'move' && to !== page.id) choose(beside ?? row.parent?.id ?? null);
          }}
          onClose={() => setPlacing(null)}
        />
      )}
      {taking && <SnippetDialog block={block} onClose={() => setTaking(false)} />}
    </section>
  );
}

/** The places of a block that is one in all of them. */
function ShownIn({ block, places }: { block: Block; places: ReturnType<typeof placesOf> }) {
  const { make } = useActions();
  const changeAddress = useChangeAddress();
  return (
    <div className="shown-in">
      {places
        .filter((p) => p.id !== block.id)
        .map(({ id, page }) =>
          page ? (
            <Button
              key={id}
              size="small"
              type="link"
              onClick={() => changeAddress((before) => writeView(before, { page: page.id, selected: id, reveal: id }))}
            >
              {page.name}
            </Button>
          ) : (
            <span key={id}>the frame</span>
          ),
        )}
      <Button
        size="small"
        title="It stays as it is here, and no longer follows the others"
        onClick={() => void make({ kind: 'cutLoose', block: block.id })}
      >
        Cut loose
      </Button>
    </div>
  );
}
