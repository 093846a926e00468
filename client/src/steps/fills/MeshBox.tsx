import { useRef, type PointerEvent } from 'react';
import type { Schemas, ThingView } from '../../api/client';
import { fieldOf } from '../../site/catalogue';
import { useDrag, useHeld } from '../../values/useHeld';
import { amount, rounded, setStop } from './stops';
import type { GradientView } from './useGradient';

interface Props {
  thing: ThingView;
  gradient: GradientView;
  chosen: string | null;
  onChoose: (stop: string) => void;
}

/** A mesh in its box with its points, which are dragged or moved by keys. The last lies all over and has no place. */
export function MeshBox({ thing, gradient, chosen, onChoose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const points = (thing.items ?? []).slice(0, -1);
  return (
    <div ref={box} className="mesh-box" style={{ backgroundImage: gradient.css }}>
      {points.map((item, place) => (
        <Point
          key={item.id}
          gradient={thing.id}
          name={`Point ${place + 1}, ${fieldOf(item, 'color')}`}
          item={item}
          color={gradient.stops.find((s) => s.id === item.id)?.color}
          isChosen={item.id === chosen}
          box={box}
          onChoose={() => onChoose(item.id)}
        />
      ))}
    </div>
  );
}

interface Place {
  x: number;
  y: number;
}

interface PointProps {
  gradient: string;
  name: string;
  item: Schemas['ThingItemView'];
  color: string | undefined;
  isChosen: boolean;
  box: React.RefObject<HTMLDivElement | null>;
  onChoose: () => void;
}

function Point({ gradient, name, item, color, isChosen, box, onChoose }: PointProps) {
  const stored = { x: amount(item, 'x'), y: amount(item, 'y') };
  const held = useHeld<Place>(({ x, y }) => ({
    kind: 'together',
    words: `${name} → ${x} %, ${y} %`,
    edits: [setStop(gradient, item.id, 'x', x), setStop(gradient, item.id, 'y', y)],
  }));
  const share = (px: number, from: number, size: number) => rounded(Math.max(0, Math.min(100, ((px - from) / size) * 100)));
  const drag = useDrag<Place>({
    held,
    at: (event: PointerEvent<HTMLElement>) => {
      const around = box.current?.getBoundingClientRect();
      return around ? { x: share(event.clientX, around.left, around.width), y: share(event.clientY, around.top, around.height) } : null;
    },
    isUnchanged: (next) => next.x === stored.x && next.y === stored.y,
  });
  const { x, y } = held.value ?? stored;
  return (
    <button
      type="button"
      aria-label={`${name}, ${x} % across, ${y} % down`}
      className={isChosen ? 'mesh-point chosen' : 'mesh-point'}
      style={{ insetInlineStart: `${x}%`, insetBlockStart: `${y}%`, background: color }}
      {...drag.handlers}
      onPointerDown={(event) => {
        onChoose();
        drag.handlers.onPointerDown(event);
      }}
      onFocus={() => {
        held.begin();
        onChoose();
      }}
      onKeyDown={(event) => {
        const far = event.shiftKey ? 10 : 1;
        const by = { ArrowRight: [far, 0], ArrowLeft: [-far, 0], ArrowDown: [0, far], ArrowUp: [0, -far] }[event.key];
        if (!by) return;
        event.preventDefault();
        event.stopPropagation();
        const within = (value: number) => rounded(Math.max(0, Math.min(100, value)));
        void held.letGo({ x: within(x + (by[0] ?? 0)), y: within(y + (by[1] ?? 0)) });
      }}
    />
  );
}
