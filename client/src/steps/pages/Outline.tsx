import { DndContext, PointerSensor, useDraggable, useDroppable, useSensor, useSensors, type DragMoveEvent } from '@dnd-kit/core';
import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { partOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { aroundOf, calledIn, endOf, moveTo, placesOf, rowOf, rowsOf, stepTo, zoneOf, type Row, type Spot } from '../../site/outline';

/** How a row is chosen: alone, with the others, or all from the one before. */
export type Choosing = 'alone' | 'too' | 'range';

interface Props {
  page: Schemas['PageView'];
  /** Id of the chosen block. */
  chosen: string | null;
  /** Ids of all that are chosen. */
  several: readonly string[];
  choose: (id: string | null, how?: Choosing) => void;
}

/** Where the block in hand would come. */
interface Over {
  row: string;
  zone: 'before' | 'within' | 'after';
  /** Why it cannot come there. */
  refusal: string | null;
}

/** What stands on a page as a tree (ARIA tree view pattern): chosen and moved by pointer and by key. */
export function Outline({ page, chosen, several, choose }: Props) {
  const catalogue = useEditing((e) => e.catalogue);
  const { make } = useActions();
  const trial = useTrial();
  const [closed, setClosed] = useState<string[]>([]);
  const [over, setOver] = useState<Over | null>(null);
  const [said, setSaid] = useState('');
  const spot = useRef<(Spot & { page: string }) | null>(null);
  const [isHeld, setHeld] = useState(false);
  const pages = useEditing((e) => e.site.pages);
  const tree = useRef<HTMLUListElement>(null);
  const focusNext = useRef<string | null>(null);
  const rows = rowsOf(page.sections, closed);
  const stop = rowOf(rows, chosen)?.block.id ?? rows[0]?.block.id;
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 6 } }));

  useEffect(() => {
    if (!focusNext.current) return;
    const row = tree.current?.querySelector<HTMLElement>(`[data-row="${CSS.escape(focusNext.current)}"]`);
    if (!row) return;
    focusNext.current = null;
    row.focus();
  });

  // What is chosen on the stage comes into sight here.
  useEffect(() => {
    if (chosen) tree.current?.querySelector(`[data-row="${CSS.escape(chosen)}"]`)?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);

  const go = (id: string | undefined, how?: Choosing) => {
    if (id === undefined) return;
    focusNext.current = id;
    choose(id, how);
  };
  /** What moves with a row: all that are chosen, where it is one of them. */
  const withIt = (row: Row): Row[] =>
    several.includes(row.block.id) ? rowsOf(page.sections).filter((r) => several.includes(r.block.id)) : [row];
  const moved = async (row: Row, to: Spot | string | null, on = page.id) => {
    if (typeof to === 'string') setSaid(to);
    if (to === null || typeof to === 'string') return;
    setSaid('');
    focusNext.current = row.block.id;
    await trial.make({ kind: 'moveBlocks', blockIds: withIt(row).map((r) => r.block.id), page: on, ...to }, { isShownFirst: true });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const row = rowOf(rows, (event.target as HTMLElement).dataset.row ?? null);
    if (!row || event.ctrlKey || event.metaKey) return;
    const here = rows.indexOf(row);
    const { id } = row.block;
    const isClosed = closed.includes(id);
    const handled = (): boolean => {
      if (event.altKey) {
        if (!event.key.startsWith('Arrow')) return false;
        void moved(row, stepTo(catalogue, rowsOf(page.sections), withIt(row), event.key));
        return true;
      }
      switch (event.key) {
        case 'ArrowDown':
        case 'ArrowUp': {
          const by = event.key === 'ArrowDown' ? 1 : -1;
          // With Shift all up to the next it stands with.
          if (event.shiftKey) go(rows.find((r) => r.parent?.id === row.parent?.id && r.at === row.at + by)?.block.id, 'range');
          else go(rows[here + by]?.block.id);
          return true;
        }
        case ' ':
          choose(id, 'too');
          return true;
        case 'ArrowRight':
          if (isClosed) setClosed(closed.filter((c) => c !== id));
          else go(row.block.blocks[0]?.id);
          return true;
        case 'ArrowLeft':
          if (!isClosed && row.block.blocks.length > 0) setClosed([...closed, id]);
          else go(row.parent?.id);
          return true;
        case 'Home':
          go(rows[0]?.block.id);
          return true;
        case 'End':
          go(rows.at(-1)?.block.id);
          return true;
        case 'Delete': {
          const siblings = rows.filter((r) => (r.parent?.id ?? null) === (row.parent?.id ?? null));
          const gone = withIt(row);
          const stays = siblings.filter((s) => !gone.includes(s));
          go((stays.find((s) => s.at > row.at) ?? stays.at(-1) ?? aroundOf(rows, row)[0])?.block.id);
          void make(removeEdit(gone));
          return true;
        }
        default:
          return false;
      }
    };
    if (handled()) {
      event.preventDefault();
      event.stopPropagation();
    }
  };
  const onMove = ({ active, over: on }: DragMoveEvent) => {
    const row = rowOf(rows, String(active.id));
    const at = active.rect.current.translated;
    if (!row || !on || !at) return;
    const other = pages.find((p) => onPage(p.id) === on.id);
    const under = rowOf(rows, String(on.id));
    if (!other && !under) return;
    const zone = under
      ? zoneOf(at.top + at.height / 2, on.rect.top, on.rect.height, partOf(catalogue, under.block.part)?.holdsBlocks ?? false)
      : 'within';
    if (over?.row === String(on.id) && over.zone === zone) return;
    const to = other ? endOf(catalogue, withIt(row), other) : under ? moveTo(catalogue, withIt(row), under, zone) : null;
    setOver({ row: String(on.id), zone, refusal: typeof to === 'string' ? to : null });
    spot.current = to === null || typeof to === 'string' ? null : { ...to, page: other?.id ?? page.id };
    if (spot.current) trial.attempt({ kind: 'moveBlocks', blockIds: withIt(row).map((r) => r.block.id), ...spot.current });
    else trial.cancelTrial();
  };
  const end = () => {
    setHeld(false);
    setOver(null);
    spot.current = null;
  };
  if (page.sections.length === 0) return <p className="empty">Nothing on this page yet: add a section above.</p>;
  return (
    <DndContext
      sensors={sensors}
      onDragStart={() => setHeld(true)}
      onDragMove={onMove}
      onDragCancel={() => {
        end();
        trial.cancelTrial();
      }}
      onDragEnd={({ active }) => {
        const [row, to] = [rowOf(rows, String(active.id)), spot.current];
        if (over?.refusal) setSaid(over.refusal);
        end();
        if (row && to) void moved(row, to, to.page);
        else trial.cancelTrial();
      }}
    >
      {isHeld && pages.length > 1 && (
        <ul className="page-drops" aria-label="Other pages">
          {pages
            .filter((p) => p.id !== page.id)
            .map((p) => (
              <PageDrop key={p.id} page={p} over={over?.row === onPage(p.id) ? over : null} />
            ))}
        </ul>
      )}
      <div className="scroll outline-scroll">
        {/* Keys are the rows' own: the tree only hears of them. */}
        <ul
          className="outline"
          role="tree"
          aria-multiselectable="true"
          aria-label={`Outline of ${page.name}`}
          ref={tree}
          onKeyDown={onKeyDown}
        >
          {rows.map((row) => (
            <OutlineRow
              key={row.block.id}
              row={row}
              isChosen={row.block.id === chosen || several.includes(row.block.id)}
              isStop={row.block.id === stop}
              isClosed={closed.includes(row.block.id)}
              over={over?.row === row.block.id ? over : null}
              choose={choose}
              toggle={() => setClosed(closed.includes(row.block.id) ? closed.filter((c) => c !== row.block.id) : [...closed, row.block.id])}
            />
          ))}
        </ul>
      </div>
      <p className="outline-said" role="status">
        {over?.refusal ?? said}
      </p>
    </DndContext>
  );
}

/** What a page is called as a place to drop on: rows go by the ids of their blocks. */
const onPage = (id: string) => `page:${id}`;

/** The edit that takes blocks away. */
export const removeEdit = (rows: readonly Row[]): Edit =>
  togetherOf(
    `${rows.length} blocks removed`,
    rows
      .filter((row) => !rows.some((r) => r !== row && rowsOf([r.block]).some((i) => i.block.id === row.block.id)))
      .map((row) => ({ kind: 'removeBlock', block: row.block.id })),
  );

/** Several edits as one; one alone as it is. */
export const togetherOf = (words: string, edits: readonly Edit[]): Edit =>
  edits.length === 1 && edits[0] ? edits[0] : { kind: 'together', words, edits: [...edits] };

/** Another page, while something is in hand: what is dropped on it comes to its end. */
function PageDrop({ page, over }: { page: Schemas['PageView']; over: Over | null }) {
  const { setNodeRef } = useDroppable({ id: onPage(page.id) });
  return (
    <li ref={setNodeRef} className={over ? `page-drop over-within${over.refusal ? ' refused' : ''}` : 'page-drop'}>
      {page.name}
    </li>
  );
}

interface RowProps {
  row: Row;
  isChosen: boolean;
  isStop: boolean;
  isClosed: boolean;
  over: Over | null;
  choose: (id: string, how?: Choosing) => void;
  toggle: () => void;
}

function OutlineRow({ row: { block, depth, at, count }, isChosen, isStop, isClosed, over, choose, toggle }: RowProps) {
  const catalogue = useEditing((e) => e.catalogue);
  const part = partOf(catalogue, block.part);
  const look = useEditing((e) => e.site.looks.find((l) => l.id === block.look)?.name);
  const drag = useDraggable({ id: block.id });
  const drop = useDroppable({ id: block.id });
  const ref = (element: HTMLLIElement | null) => {
    drag.setNodeRef(element);
    drop.setNodeRef(element);
  };
  const places = useEditing((e) => placesOf(e.site, block).length);
  const marks = [
    places > 1 && `in ${places} places`,
    block.own.length > 0 && (block.own.length === 1 ? '1 own value' : `${block.own.length} own values`),
    block.hiddenAt.length > 0 && `hidden at ${block.hiddenAt.join(', ')}`,
    block.address !== '' && `#${block.address}`,
  ].filter(Boolean);
  return (
    <li
      ref={ref}
      data-row={block.id}
      className={[
        'outline-row',
        isChosen ? 'chosen' : '',
        over ? `over-${over.zone}` : '',
        over?.refusal ? 'refused' : '',
        drag.isDragging ? 'held' : '',
      ].join(' ')}
      role="treeitem"
      aria-level={depth + 1}
      aria-posinset={at + 1}
      aria-setsize={count}
      aria-selected={isChosen}
      aria-expanded={block.blocks.length > 0 ? !isClosed : undefined}
      tabIndex={isStop ? 0 : -1}
      style={{ paddingInlineStart: 16 + depth * 16 }}
      onPointerDown={(event) => drag.listeners?.onPointerDown?.(event)}
      onClick={(event) => choose(block.id, event.shiftKey ? 'range' : event.ctrlKey || event.metaKey ? 'too' : 'alone')}
      // The tree hears of the other keys.
      onKeyDown={(event) => {
        if (event.key === 'Enter' && event.target === event.currentTarget) choose(block.id);
      }}
    >
      {block.blocks.length > 0 ? (
        <button
          type="button"
          className="outline-fold"
          tabIndex={-1}
          // For the hand alone: the row says whether it is open, and arrows open and close it.
          aria-hidden="true"
          onPointerDown={(event) => event.stopPropagation()}
          onClick={(event) => {
            event.stopPropagation();
            toggle();
          }}
        >
          {isClosed ? '▸' : '▾'}
        </button>
      ) : (
        <span className="outline-fold" />
      )}
      <span className="outline-part">{part?.name ?? 'Unknown'}</span>
      <span className="outline-name">{calledIn(catalogue, block, look)}</span>
      {marks.length > 0 && <span className="outline-marks">{marks.join(' · ')}</span>}
    </li>
  );
}
