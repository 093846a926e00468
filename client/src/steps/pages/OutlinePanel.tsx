import { Button } from 'antd';
import { useState } from 'react';
import { useEditing } from '../../site/editingContext';
import { useChangeAddress } from '../../site/address';
import { useStageView, writeView } from '../../stage/view';
import { AddBlock } from './AddBlock';
import { BlockPanel } from './BlockPanel';
import { between, rowOf, rowsOf } from '../../site/outline';
import { Outline, type Choosing } from './Outline';
import { SeveralPanel } from './SeveralPanel';

/** The outline of the page on stage, and below it what is chosen there. */
export function OutlinePanel() {
  const [view] = useStageView();
  const pages = useEditing((e) => e.site.pages);
  const page = pages.find((p) => p.id === view.page) ?? pages[0];
  const changeAddress = useChangeAddress();
  const [adding, setAdding] = useState(false);
  // All that are chosen; the address tells the one in hand.
  const [marked, setMarked] = useState<readonly string[]>([]);
  if (!page) return null;
  const rows = rowsOf(page.sections);
  const chosen = rowOf(rows, view.selected);
  const several = chosen && marked.includes(chosen.block.id) ? rows.filter((r) => marked.includes(r.block.id)) : [];
  const choose = (id: string | null, how: Choosing = 'alone') => {
    const to = rowOf(rows, id);
    if (how === 'alone' || !chosen || !to) setMarked(id === null ? [] : [id]);
    else if (how === 'range') {
      // The one it began with stays the first of them.
      const from = rowOf(rows, marked[0] ?? null) ?? chosen;
      setMarked([...new Set([from, ...between(rows, from, to)].map((r) => r.block.id))]);
    } else {
      const before = several.length > 0 ? marked : [chosen.block.id];
      const next = before.includes(to.block.id) ? before.filter((m) => m !== to.block.id) : [...before, to.block.id];
      setMarked(next);
      // What is taken out of the choice is not the one in hand.
      if (next.length > 0 && !next.includes(to.block.id)) return changeAddress((now) => writeView(now, { selected: next[0] ?? null }));
    }
    return changeAddress((before) => writeView(before, { selected: id, reveal: id }));
  };
  return (
    <>
      <div className="subhead">
        <strong>{page.name}</strong>
        <span className="quiet">{rows.length === 0 ? 'empty' : rows.length === 1 ? '1 block' : `${rows.length} blocks`}</span>
        <span className="turns">
          <Button size="small" aria-expanded={adding} onClick={() => setAdding(!adding)}>
            Add…
          </Button>
        </span>
      </div>
      {adding && (
        <AddBlock
          page={page}
          rows={rows}
          chosen={chosen}
          onAdded={(id) => {
            setAdding(false);
            choose(id);
          }}
          onClose={() => setAdding(false)}
        />
      )}
      <Outline page={page} chosen={chosen?.block.id ?? null} several={several.map((r) => r.block.id)} choose={choose} />
      {several.length > 1 && <SeveralPanel rows={several} page={page} choose={choose} />}
      {chosen && several.length < 2 && <BlockPanel key={chosen.block.id} row={chosen} rows={rows} page={page} choose={choose} />}
    </>
  );
}
