import { Button } from 'antd';
import { useSearchParams } from 'react-router';
import type { ColorView } from '../../api/client';
import { useEditing } from '../../app/editingContext';
import { AddColorForm } from './AddColorForm';
import { ColorEditor } from './ColorEditor';

/** Every colour with its steps; the chosen one can be changed below. */
export function ColorsPanel() {
  const stored = useEditing((e) => e.site.colors);
  const tried = useEditing((e) => e.trial?.colors);
  const [params, setParams] = useSearchParams();
  const colors = stored.map((color) => tried?.find((t) => t.id === color.id) ?? color);
  const adding = params.get('color') === 'new';
  const chosen = adding ? undefined : (colors.find((c) => c.id === params.get('color')) ?? colors[0]);
  const choose = (id: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        next.set('color', id);
        return next;
      },
      { replace: true },
    );

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
            <ColorRow color={color} chosen={color.id === chosen?.id} onChoose={() => choose(color.id)} />
          </li>
        ))}
      </ul>
      <div className="below-rows">
        <Button size="small" onClick={() => choose('new')} disabled={adding}>
          Add a colour
        </Button>
      </div>
      {adding && <AddColorForm onDone={choose} />}
      {chosen && <ColorEditor key={chosen.id} color={chosen} onRemoved={() => choose(colors.find((c) => c.id !== chosen.id)?.id ?? '')} />}
    </>
  );
}

function ColorRow({ color, chosen, onChoose }: { color: ColorView; chosen: boolean; onChoose: () => void }) {
  const uses = color.uses.length;
  return (
    <button type="button" className="color-row" aria-pressed={chosen} onClick={onChoose} title={color.uses.join('\n') || 'Not used yet'}>
      <span className="color-name">
        <strong>{color.name}</strong>
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
}
