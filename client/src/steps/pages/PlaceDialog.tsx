import { Modal, Select } from 'antd';
import { useState } from 'react';
import type { Edit } from '../../api/client';
import { partOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { calledIn, refusalOf, rowsOf, type Block, type Spot } from '../../site/outline';
import { Problem } from '../../ui/Problem';
import { useReturnFocus } from '../../ui/useReturnFocus';

interface Props {
  title: string;
  /** What the button says. */
  act: string;
  /** What is to come there: all of it can stand where it comes. */
  blocks: readonly Block[];
  /** Id of the page to begin with. */
  page: string;
  edit: (page: string, spot: Spot) => Edit;
  /** Hears of the page it came to. */
  onPlaced: (page: string) => void;
  onClose: () => void;
}

/** Stands for the page itself among the places on it. */
const PAGE = '';

/** Asks for a page and a place on it where blocks can stand. */
export function PlaceDialog({ title, act, blocks, page, edit, onPlaced, onClose }: Props) {
  useReturnFocus();
  const { make } = useActions();
  const pages = useEditing((e) => e.site.pages);
  const catalogue = useEditing((e) => e.catalogue);
  const looks = useEditing((e) => e.site.looks);
  const [to, setTo] = useState(page);
  const [chosen, setChosen] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const there = pages.find((p) => p.id === to);
  const fits = (outer: Block | null) => blocks.every((b) => refusalOf(catalogue, b.part, outer) === null);
  const inBlocks = rowsOf(there?.sections ?? [])
    .filter((row) => fits(row.block) && !blocks.some((b) => rowsOf([b]).some((r) => r.block.id === row.block.id)))
    .map(({ block, depth }) => {
      const said = calledIn(catalogue, block, looks.find((l) => l.id === block.look)?.name);
      return { value: block.id, label: `${' '.repeat(depth * 2)}${partOf(catalogue, block.part)?.name ?? ''} ${said}`.trimEnd(), block };
    });
  const places = [...(fits(null) ? [{ value: PAGE, label: 'at the end of the page', block: null }] : []), ...inBlocks];
  const place = places.find((p) => p.value === chosen) ?? places[0];
  const go = async () => {
    if (!there || !place) return;
    const at = place.block === null ? there.sections.length : place.block.blocks.length;
    const wrong = await make(edit(there.id, { parent: place.block?.id ?? null, at }), { saidAtItsPlace: true });
    setProblem(wrong);
    if (wrong !== null) return;
    onPlaced(there.id);
    onClose();
  };
  return (
    <Modal open title={title} okText={act} okButtonProps={{ disabled: !place }} onOk={() => void go()} onCancel={onClose}>
      <div className="place-fields">
        <div>
          <span>Page</span>
          <Select
            aria-label="Page it comes to"
            showSearch={{ optionFilterProp: 'label' }}
            value={to}
            options={pages.map((p) => ({ value: p.id, label: p.name }))}
            onChange={(id) => {
              setTo(id);
              setChosen(null);
            }}
          />
        </div>
        <div>
          <span>In</span>
          <Select
            aria-label="Place on that page"
            showSearch={{ optionFilterProp: 'label' }}
            value={place?.value ?? null}
            options={places.map(({ value, label }) => ({ value, label }))}
            notFoundContent="Nothing on this page can hold it."
            onChange={setChosen}
          />
        </div>
      </div>
      {!place && <p className="quiet">Nothing on {there?.name ?? 'this page'} can hold it: add a section there first.</p>}
      <Problem text={problem} />
    </Modal>
  );
}
