import { memo, useState, type DragEvent } from 'react';
import type { ColorView, ThingView } from '../../api/client';
import { Shortened } from '../../ui/Shortened';
import { usesText } from '../../ui/words';

/** What a dragged colour is told by. */
const DRAGGED = 'application/x-sandbar-color';

interface Props {
  thing: ThingView;
  color: ColorView;
  chosen: boolean;
  onChoose: (id: string) => void;
  /** Another colour was dropped on this one: it comes to stand before it. */
  onDrop: (id: string, on: ThingView) => void;
  /** Moved by key, up or down. */
  onMove: (id: string, by: -1 | 1) => void;
}

/** A colour with its steps: chosen by a press, ordered by dragging or by Alt with an arrow key. */
export const ColorRow = memo(function ColorRow({ thing, color, chosen, onChoose, onDrop, onMove }: Props) {
  const [over, setOver] = useState(false);
  const isColor = (event: DragEvent) => event.dataTransfer.types.includes(DRAGGED);
  return (
    <button
      type="button"
      className={`row-button color-row${over ? ' drop-before' : ''}`}
      aria-pressed={chosen}
      aria-keyshortcuts="Alt+ArrowUp Alt+ArrowDown"
      draggable
      onDragStart={(event) => event.dataTransfer.setData(DRAGGED, thing.id)}
      onDragOver={(event) => {
        if (!isColor(event)) return;
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        setOver(false);
        if (!isColor(event)) return;
        event.preventDefault();
        const id = event.dataTransfer.getData(DRAGGED);
        if (id !== thing.id) onDrop(id, thing);
      }}
      onKeyDown={(event) => {
        if (!event.altKey || (event.key !== 'ArrowUp' && event.key !== 'ArrowDown')) return;
        event.preventDefault();
        onMove(thing.id, event.key === 'ArrowUp' ? -1 : 1);
      }}
      onClick={() => onChoose(thing.id)}
      title={thing.uses.join('\n') || 'Not used yet'}
    >
      <strong className="color-name" title={thing.name}>
        <Shortened text={thing.name} end={6} />
      </strong>
      <code className="quiet">{color.hex}</code>
      <span className="strip" aria-hidden="true">
        {[...color.tints].reverse().map((hex, i) => (
          <span key={`tint ${i}`} style={{ background: hex }} />
        ))}
        <span className="base" style={{ background: color.hex }} />
        {color.shades.map((hex, i) => (
          <span key={`shade ${i}`} style={{ background: hex }} />
        ))}
      </span>
      <span className="uses">{usesText(thing.uses)}</span>
    </button>
  );
});
