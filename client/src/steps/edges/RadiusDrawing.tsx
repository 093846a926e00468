import type { PointerEvent } from 'react';
import type { Edit, ThingView } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { useDrag, useHeld } from '../../values/useHeld';

/** The corner is drawn so many times as large. */
const SCALE = 3;

/** The box whose corner is drawn, px. */
const BOX = { width: 300, height: 96 };

/** How far a radius can be dragged, px. */
const MOST = Math.floor(BOX.height / SCALE);

interface Corner {
  across: number;
  down: number;
}

/** A corner drawn large; dragging its handle changes how far it goes, and with Shift how far down alone. */
export function RadiusDrawing({ thing }: { thing: ThingView }) {
  const radius = useEditing((e) => e.site.edges.radii.find((r) => r.id === thing.id));
  const set = (field: string, px: number): Edit => ({ kind: 'setThing', of: 'radius', id: thing.id, field, text: `${px}px`, in: null });
  const isEllipse = radius !== undefined && radius.across !== radius.down;
  const held = useHeld<Corner>(({ across, down }) =>
    across === down && !isEllipse
      ? set('size', across)
      : { kind: 'together', words: `${thing.name} → ${across}px by ${down}px`, edits: [set('size', across), set('down', down)] },
  );
  const stored = { across: radius?.across ?? 0, down: radius?.down ?? 0 };
  const clamp = (px: number) => Math.max(0, Math.min(MOST, Math.round(px)));
  const drag = useDrag<Corner>({
    held,
    at: (event: PointerEvent<HTMLElement>, start) => {
      const [dx, dy] = [(event.clientX - start.clientX) / SCALE, (event.clientY - start.clientY) / SCALE];
      if (event.shiftKey || isEllipse) return { across: clamp(stored.across + dx), down: clamp(stored.down + dy) };
      const both = clamp(stored.across + (dx + dy) / 2);
      return { across: both, down: both };
    },
    isUnchanged: (next) => next.across === stored.across && next.down === stored.down,
  });
  if (!radius || radius.across === null || radius.down === null) return <p className="hint">It depends on the box: it cannot be drawn.</p>;
  const { across, down } = held.value ?? stored;
  const shown = { x: Math.min(across * SCALE, BOX.width), y: Math.min(down * SCALE, BOX.height) };
  return (
    <div className="drawing" aria-hidden="true">
      <div className="radius-box" style={{ ...BOX, borderTopLeftRadius: `${shown.x}px ${shown.y}px` }}>
        <span className="drawn-handle" style={{ left: shown.x, top: shown.y }} {...drag.handlers} />
      </div>
      <span className="drawn-figure">
        {across === down ? `${across}px` : `${across}px by ${down}px`}
        <span className="quiet"> · drawn three times as large; Shift drags each way by itself</span>
      </span>
    </div>
  );
}
