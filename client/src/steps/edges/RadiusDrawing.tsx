import type { PointerEvent } from 'react';
import type { Edit, ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { inUnitOf } from '../../values/numbers';
import { useDrag, useHeld } from '../../values/useHeld';

/** The box whose corner is drawn, px. */
const BOX = { width: 300, height: 96 };

/** How many times as large a corner is drawn: so large as there is room. */
const scaleOf = (px: number) => (px <= BOX.height / 4 ? 3 : 1);

interface Corner {
  across: number;
  down: number;
}

/** A corner drawn large; dragging its handle changes how far it goes, and with Shift how far down alone. */
export function RadiusDrawing({ thing }: { thing: ThingView }) {
  const radius = useEditing((e) => e.site.edges.radii.find((r) => r.id === thing.id));
  const stored = { across: radius?.across ?? 0, down: radius?.down ?? 0 };
  const set = (field: 'size' | 'down', px: number): Edit => ({
    kind: 'setThing',
    of: 'radius',
    id: thing.id,
    field,
    text: inUnitOf(fieldText(thing, field), stored[field === 'size' ? 'across' : 'down'], px),
    in: null,
  });
  const isEllipse = radius !== undefined && radius.across !== radius.down;
  const held = useHeld<Corner>(({ across, down }) =>
    across === down && !isEllipse
      ? set('size', across)
      : { kind: 'together', words: `${thing.name} → ${across}px by ${down}px`, edits: [set('size', across), set('down', down)] },
  );
  const scale = scaleOf(Math.max(stored.across, stored.down));
  const clamp = (px: number) => Math.max(0, Math.min(Math.floor(BOX.height / scale), Math.round(px)));
  const drag = useDrag<Corner>({
    held,
    at: (event: PointerEvent<HTMLElement>, start) => {
      const [dx, dy] = [(event.clientX - start.clientX) / scale, (event.clientY - start.clientY) / scale];
      if (event.shiftKey || isEllipse) return { across: clamp(stored.across + dx), down: clamp(stored.down + dy) };
      const both = clamp(stored.across + (dx + dy) / 2);
      return { across: both, down: both };
    },
    isUnchanged: (next) => next.across === stored.across && next.down === stored.down,
  });
  if (!radius || radius.across === null || radius.down === null) return <p className="hint">It depends on the box: it cannot be drawn.</p>;
  const { across, down } = held.value ?? stored;
  const shown = { x: Math.min(across * scale, BOX.width), y: Math.min(down * scale, BOX.height) };
  return (
    <div className="drawing" aria-hidden="true">
      <div className="radius-box" style={{ ...BOX, borderTopLeftRadius: `${shown.x}px ${shown.y}px` }}>
        <span className="drawn-handle" style={{ left: shown.x, top: shown.y }} {...drag.handlers} />
      </div>
      <span className="drawn-figure">
        {across === down ? `${across}px` : `${across}px by ${down}px`}
        <span className="quiet"> · {scale > 1 ? 'drawn three times as large; ' : ''}Shift drags each way by itself</span>
      </span>
    </div>
  );
}
