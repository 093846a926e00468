import { useRef, type PointerEvent } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useDrag, useHeld } from '../../values/useHeld';
import { rounded } from './stops';

export interface FocalPoint {
  x: number;
  y: number;
}

/** As high as it is shown, px. */
const HIGHEST = 150;

interface Props {
  /** What the picture is called. */
  name: string;
  picture: Pick<Schemas['PictureView'], 'address' | 'width' | 'height'>;
  isClip?: boolean;
  stored: FocalPoint;
  /** The edit that sets it, per field. */
  edit: (field: 'focus-x' | 'focus-y', share: number) => Edit;
}

/** A picture whole, with the point that is kept in sight: dragged, or moved by keys. */
export function FocusBox({ name, picture, isClip = false, stored, edit }: Props) {
  const box = useRef<HTMLSpanElement>(null);
  const held = useHeld<FocalPoint>(({ x, y }) => ({
    kind: 'together',
    words: `${name} · in sight → ${x} %, ${y} %`,
    edits: [edit('focus-x', x), edit('focus-y', y)],
  }));
  const within = (share: number) => rounded(Math.max(0, Math.min(100, share)));
  const drag = useDrag<FocalPoint>({
    held,
    at: (event: PointerEvent<HTMLElement>) => {
      const around = box.current?.getBoundingClientRect();
      return around
        ? {
            x: within(((event.clientX - around.left) / around.width) * 100),
            y: within(((event.clientY - around.top) / around.height) * 100),
          }
        : null;
    },
    isUnchanged: (next) => next.x === stored.x && next.y === stored.y,
  });
  const { x, y } = held.value ?? stored;
  return (
    <span className="focus-box">
      <span
        ref={box}
        className="focus-picture"
        style={{ aspectRatio: `${picture.width} / ${picture.height}`, width: `min(100%, ${(HIGHEST * picture.width) / picture.height}px)` }}
      >
        {isClip ? (
          <video src={picture.address} muted playsInline preload="metadata" tabIndex={-1} aria-hidden="true" />
        ) : (
          <img src={picture.address} alt="" draggable={false} />
        )}
        <button
          type="button"
          className="mesh-point focus-point"
          aria-label={`Point kept in sight of ${name}, ${x} % across, ${y} % down`}
          style={{ insetInlineStart: `${x}%`, insetBlockStart: `${y}%` }}
          {...drag.handlers}
          onFocus={held.begin}
          onKeyDown={(event) => {
            const far = event.shiftKey ? 10 : 1;
            const by = { ArrowRight: [far, 0], ArrowLeft: [-far, 0], ArrowDown: [0, far], ArrowUp: [0, -far] }[event.key];
            if (!by) return;
            event.preventDefault();
            event.stopPropagation();
            void held.letGo({ x: within(x + (by[0] ?? 0)), y: within(y + (by[1] ?? 0)) });
          }}
        />
      </span>
    </span>
  );
}
