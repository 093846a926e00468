import { Button } from 'antd';
import { useState } from 'react';
import { useEditing } from '../../site/editingContext';
import { useChangeAddress } from '../../site/address';
import { useStageView, writeView } from '../../stage/view';
import { AddBlock } from './AddBlock';
import { BlockPanel } from './BlockPanel';
import { Outline } from './Outline';
import { rowOf, rowsOf } from '../../site/outline';

/** The outline of the page on stage, and below it what is chosen there. */
export function OutlinePanel() {
  const [view] = useStageView();
  const pages = useEditing((e) => e.site.pages);
  const page = pages.find((p) => p.id === view.page) ?? pages[0];
  const changeAddress = useChangeAddress();
  const [adding, setAdding] = useState(false);
  if (!page) return null;
  const rows = rowsOf(page.sections);
  const chosen = rowOf(rows, view.selected);
  const choose = (id: string | null) => changeAddress((before) => writeView(before, { selected: id, reveal: id }));
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
      <Outline page={page} chosen={chosen?.block.id ?? null} choose={choose} />
      {chosen && <BlockPanel key={chosen.block.id} row={chosen} rows={rows} page={page} choose={choose} />}
    </>
  );
}
