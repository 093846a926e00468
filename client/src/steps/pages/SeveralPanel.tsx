import { Button } from 'antd';
import { useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { MenuButton } from '../../ui/MenuButton';
import { wrappersOf, type Row } from '../../site/outline';
import { removeEdit, togetherOf } from './Outline';
import { PlaceDialog } from './PlaceDialog';

interface Props {
  /** From top to bottom. */
  rows: readonly Row[];
  page: Schemas['PageView'];
  choose: (id: string | null) => void;
}

/** What can be done with several blocks at once. */
export function SeveralPanel({ rows, page, choose }: Props) {
  const { make } = useActions();
  const catalogue = useEditing((e) => e.catalogue);
  const pages = useEditing((e) => e.site.pages);
  const [isMoving, setMoving] = useState(false);
  const blocks = rows.map((r) => r.block);
  const wrappers = wrappersOf(catalogue, blocks, rows[0]?.parent ?? null);
  const act = async (edit: Edit) => {
    if ((await make(edit)) === null) choose(null);
  };
  const words = `${rows.length} blocks`;
  return (
    <section className="block-panel" aria-label={words}>
      <div className="subhead">
        <strong>{words}</strong>
        <span className="acts">
          <Button
            size="small"
            onClick={() =>
              void act(
                togetherOf(
                  `${words} duplicated`,
                  blocks.map((b) => ({ kind: 'duplicateBlock', block: b.id, id: crypto.randomUUID() })),
                ),
              )
            }
          >
            Duplicate
          </Button>
          <MenuButton
            size="small"
            menu={{
              items: [
                ...wrappers.map((p) => ({
                  key: p.id,
                  label: `Put them into one ${p.name.toLowerCase()}`,
                  onClick: () =>
                    void act({ kind: 'wrapBlocks', blockIds: blocks.map((b) => b.id), part: p.id, look: null, id: crypto.randomUUID() }),
                })),
                { key: 'move', label: 'Move them to another page…', onClick: () => setMoving(true) },
              ],
            }}
          >
            Arrange
          </MenuButton>
          <Button
            size="small"
            onClick={() =>
              void act(
                togetherOf(
                  `${words} set aside`,
                  blocks.map((b) => ({ kind: 'setBlockAside', block: b.id })),
                ),
              )
            }
          >
            Set aside
          </Button>
          <Button size="small" onClick={() => void act(removeEdit(rows))}>
            Remove
          </Button>
        </span>
      </div>
      {isMoving && (
        <PlaceDialog
          title={`Move ${words} to another page`}
          act="Move them"
          blocks={blocks}
          page={pages.find((p) => p.id !== page.id)?.id ?? page.id}
          edit={(to, spot) => ({ kind: 'moveBlocks', blockIds: blocks.map((b) => b.id), page: to, ...spot })}
          onPlaced={() => choose(null)}
          onClose={() => setMoving(false)}
        />
      )}
    </section>
  );
}
