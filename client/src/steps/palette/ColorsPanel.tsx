import { Button } from 'antd';
import { memo, useCallback } from 'react';
import { useSearchParams } from 'react-router';
import type { ColorView } from '../../api/client';
import type { Editing } from '../../api/editing';
import { Shortened } from '../../app/Shortened';
import { useEditing, useEditingLater } from '../../app/editingContext';
import { AddColorForm } from './AddColorForm';
import { ColorEditor } from './ColorEditor';
import { useSetAddress } from '../../app/address';

const triedColors = (editing: Editing) => editing.trial?.colors;

/** Every colour with its steps; the chosen one can be changed below. */
export function ColorsPanel() {
  const stored = useEditing((e) => e.site.colors);
  const tried = useEditingLater(triedColors);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const colors = stored.map((color) => tried?.find((t) => t.id === color.id) ?? color);
  const adding = params.get('color') === 'new';
  const chosen = adding ? undefined : (colors.find((c) => c.id === params.get('color')) ?? colors[0]);
  const choose = useCallback((id: string) => setAddress({ color: id }), [setAddress]);
  const onRemoved = useCallback(() => choose(''), [choose]);

  return (
    <>
      <div className="subhead">
        <span>
          6 tints · <strong>the colour you gave</strong> · 5 shades
        </span>
        <span className="quiet">{stored.length === 1 ? '1 colour' : `${stored.length} colours`}</span>
      </div>
      <ul className="color-rows" aria-label="Colours">
        {colors.map((color) => (
          <li key={color.id}>
            <ColorRow color={color} chosen={color.id === chosen?.id} onChoose={choose} />
          </li>
        ))}
      </ul>
      <div className="below-rows">
        <Button size="small" onClick={() => choose('new')} disabled={adding}>
          Add a colour
        </Button>
      </div>
      {adding && <AddColorForm onDone={choose} />}
      {chosen && (
        <ColorEditor key={chosen.id} color={chosen} stored={stored.find((c) => c.id === chosen.id) ?? chosen} onRemoved={onRemoved} />
      )}
    </>
  );
}

const ColorRow = memo(function ColorRow({
  color,
  chosen,
  onChoose,
}: {
  color: ColorView;
  chosen: boolean;
  onChoose: (id: string) => void;
}) {
  const uses = color.uses.length;
  return (
    <button
      type="button"
      className="color-row"
      aria-pressed={chosen}
      onClick={() => onChoose(color.id)}
      title={color.uses.join('\n') || 'Not used yet'}
    >
      <span className="color-name">
        <strong title={color.name}>
          <Shortened text={color.name} end={6} />
        </strong>
        <code>{color.hex}</code>
      </span>
      <span className="strip" aria-hidden="true">
        {[...color.tints].reverse().map((hex, i) => (
          <span key={`tint ${i}`} style={{ background: hex }} />
        ))}
        <span className="base" style={{ background: color.hex }} />
        {color.shades.map((hex, i) => (
          <span key={`shade ${i}`} style={{ background: hex }} />
        ))}
      </span>
      <span className="uses">{uses === 0 ? 'unused' : uses === 1 ? '1 use' : `${uses} uses`}</span>
    </button>
  );
});
