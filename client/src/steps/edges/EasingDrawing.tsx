import { useRef, type PointerEvent } from 'react';
import type { Edit, ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { useDrag, useHeld } from '../../values/useHeld';

/** The square that is the change, from its beginning at the lower left to its end at the upper right, px; above and below it there is room to swing. */
const SIDE = 120;
const ROOM = 40;

interface Point {
  x: number;
  y: number;
}

/** The pace of a change drawn as a curve; the two points of a curve are dragged. */
export function EasingDrawing({ thing }: { thing: ThingView }) {
  const easing = useEditing((e) => e.site.edges.easings.find((s) => s.id === thing.id));
  const number = (field: string) => Number(fieldText(thing, field)) || 0;
  const isCurve = fieldText(thing, 'shape') === 'curve';
  const points = [1, 2].map((n): Point => ({ x: number(`x${n}`), y: number(`y${n}`) }));
  if (!easing) return null;
  const path = easing.points.map((p, i) => `${i === 0 ? 'M' : 'L'}${px((i / (easing.points.length - 1)) * SIDE)} ${px(SIDE - p * SIDE)}`);
  return (
    <div className="drawing easing-drawing">
      <div className="easing-square" aria-hidden="true" style={{ width: SIDE, height: SIDE, marginBlock: ROOM / 2 }}>
        <svg viewBox={`0 ${-ROOM} ${SIDE} ${SIDE + 2 * ROOM}`} width={SIDE} height={SIDE + 2 * ROOM} style={{ top: -ROOM }}>
          <rect x="0.5" y="0.5" width={SIDE - 1} height={SIDE - 1} className="easing-frame" />
          <path d={path.join('')} className="easing-curve" />
        </svg>
        {isCurve && points.map((point, i) => <Handle key={i} thing={thing} n={i + 1} point={point} />)}
      </div>
      <code className="quiet easing-css" title={easing.css}>
        {easing.css}
      </code>
    </div>
  );
}

/** One of the two points that draw the curve to themselves. */
function Handle({ thing, n, point }: { thing: ThingView; n: number; point: Point }) {
  const set = (field: string, value: number): Edit => ({
    kind: 'setThing',
    of: 'easing',
    id: thing.id,
    field,
    text: String(value),
    in: null,
  });
  const held = useHeld<Point>(({ x, y }) => ({
    kind: 'together',
    words: `${thing.name} · point ${n} → ${x}, ${y}`,
    edits: [set(`x${n}`, x), set(`y${n}`, y)],
  }));
  // Where the hand took hold, so that the point does not jump to it.
  const from = useRef(point);
  const drag = useDrag<Point>({
    held,
    at: (event: PointerEvent<HTMLElement>, start) => ({
      x: round(Math.min(1, Math.max(0, from.current.x + (event.clientX - start.clientX) / SIDE))),
      y: round(Math.min(2, Math.max(-1, from.current.y - (event.clientY - start.clientY) / SIDE))),
    }),
    isUnchanged: (next) => next.x === point.x && next.y === point.y,
  });
  const { x, y } = held.value ?? point;
  return (
    <span
      className="drawn-handle"
      title={`Point ${n}: ${x}, ${y}`}
      style={{ left: x * SIDE, top: SIDE - y * SIDE }}
      {...drag.handlers}
      onPointerDown={(event) => {
        from.current = point;
        drag.handlers.onPointerDown(event);
      }}
    />
  );
}

const round = (value: number) => Math.round(value * 100) / 100;

const px = (value: number) => Math.round(value * 10) / 10;
