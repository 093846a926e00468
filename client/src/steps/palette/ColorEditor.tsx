import { useQuery } from '@tanstack/react-query';
import { Button, Tooltip } from 'antd';
import { memo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { answered, api, type ColorView, type Edit } from '../../api/client';
import { newGesture } from '../../api/window';
import { useActions } from '../../app/editingContext';
import { TextField } from '../TextField';

/** OKLCH as the hand sets it: lightness 0 to 1, chroma, hue in degrees. */
interface Position {
  l: number;
  c: number;
  h: number;
}

const WIDEST = 0.33;
const NONE: readonly number[] = [];
const css = ({ l, c, h }: Position) => `oklch(${l.toFixed(3)} ${c.toFixed(3)} ${h.toFixed(1)})`;

/** Changes a colour by plane and hue, or by typing; the stage follows the hand. */
export function ColorEditor({ color, stored, onRemoved }: { color: ColorView; stored: ColorView; onRemoved: () => void }) {
  const { attempt, cancelTrial, make } = useActions();
  const [held, setHeld] = useState<Position | null>(null);
  const gesture = useRef(newGesture());
  // A grey has no hue: the slider keeps the one it had.
  const [lastHue, setLastHue] = useState(0);
  const at = held ?? { l: color.lightness / 100, c: color.chroma / 100, h: color.hue ?? lastHue };
  const edit = (position: Position): Edit => ({ kind: 'setColor', color: color.id, css: css(position) });

  const hold = (position: Position) => {
    setHeld(position);
    setLastHue(position.h);
    attempt(edit(position));
  };
  const letGo = async (position: Position) => {
    await make(edit(position), gesture.current);
    setHeld(null);
  };
  const abandon = () => {
    setHeld(null);
    cancelTrial();
  };

  return (
    <section className="color-editor" aria-label={`Colour ${color.name}`}>
      <div className="subhead">
        <strong>{color.name}</strong>
        <span className="quiet">
          lightness {color.lightness.toFixed(0)} · chroma {color.chroma.toFixed(0)}
          {color.hue !== null && color.hue !== undefined && ` · hue ${color.hue.toFixed(0)}°`} ·{' '}
          {color.inSrgb ? 'inside sRGB' : `outside sRGB, falls back to ${color.hex}`}
        </span>
      </div>
      <div className="color-controls">
        <Plane
          at={at}
          hue={Math.round(stored.hue ?? lastHue) % 360}
          hex={color.hex}
          onStart={() => (gesture.current = newGesture())}
          onHold={hold}
          onLetGo={letGo}
          onAbandon={abandon}
        />
        <div className="color-fields">
          <div className="hue">
            <span className="quiet" aria-hidden="true">
              Hue
            </span>
            <HueSlider at={at} onStart={() => (gesture.current = newGesture())} onHold={hold} onLetGo={letGo} onAbandon={abandon} />
          </div>
          <ColorFields color={stored} onRemoved={onRemoved} />
        </div>
      </div>
    </section>
  );
}

/** Value and name as text. They show what is stored, so a drag does not draw them anew. */
const ColorFields = memo(function ColorFields({ color, onRemoved }: { color: ColorView; onRemoved: () => void }) {
  const { make } = useActions();
  return (
    <>
      <TextField label="Value" value={color.css} mono tries={(text) => ({ kind: 'setColor', color: color.id, css: text })} />
      <TextField label="Name" value={color.name} makes={(text) => ({ kind: 'renameColor', color: color.id, name: text })} />
      <Tooltip title={color.uses.length > 0 ? `In use: ${color.uses.slice(0, 6).join(', ')}` : ''} trigger={['hover', 'focus']}>
        <Button
          size="small"
          onClick={() => void make({ kind: 'removeColor', color: color.id }).then((wrong) => (wrong === null ? onRemoved() : undefined))}
          disabled={color.uses.length > 0}
          aria-label={`Remove ${color.name}`}
        >
          Remove
        </Button>
      </Tooltip>
    </>
  );
});

interface Handles {
  at: Position;
  onStart: () => void;
  onHold: (position: Position) => void;
  onLetGo: (position: Position) => void;
  onAbandon: () => void;
}

/** Chroma across, lightness up, at one hue; what sRGB cannot show is left out. */
function Plane({ at, hue, hex, onStart, onHold, onLetGo, onAbandon }: Handles & { hue: number; hex: string }) {
  const plane = useQuery({
    queryKey: ['plane', hue],
    queryFn: () => answered(api.GET('/api/colors/plane', { params: { query: { hue } } })),
    staleTime: Infinity,
    placeholderData: (before) => before,
  });
  const outline = plane.data?.chroma ?? NONE;
  const box = useRef<HTMLDivElement>(null);
  const dragging = useRef(false);

  const most = (l: number) => outline[Math.round((1 - l) * (outline.length - 1))] ?? WIDEST;
  const kept = (l: number, c: number): Position => {
    const lightness = Math.min(1, Math.max(0, l));
    return { l: lightness, c: Math.min(Math.max(0, c), most(lightness)), h: at.h };
  };
  const under = (event: PointerEvent): Position => {
    const area = (box.current as HTMLDivElement).getBoundingClientRect();
    return kept(1 - (event.clientY - area.top) / area.height, ((event.clientX - area.left) / area.width) * WIDEST);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape') {
      dragging.current = false;
      onAbandon();
      return;
    }
    const pace = event.shiftKey ? 10 : 1;
    const moves: Record<string, [number, number]> = {
      ArrowUp: [0.01, 0],
      ArrowDown: [-0.01, 0],
      ArrowRight: [0, 0.005],
      ArrowLeft: [0, -0.005],
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    onLetGo(kept(at.l + move[0] * pace, at.c + move[1] * pace));
  };

  return (
    <div
      ref={box}
      className="plane"
      role="slider"
      tabIndex={0}
      aria-label="Lightness and chroma"
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={Math.round(at.l * 100)}
      aria-valuetext={`lightness ${Math.round(at.l * 100)}, chroma ${Math.round(at.c * 100)}`}
      onKeyDown={onKeyDown}
      onFocus={onStart}
      onPointerDown={(event) => {
        onStart();
        dragging.current = true;
        event.currentTarget.setPointerCapture(event.pointerId);
        onHold(under(event));
      }}
      onPointerMove={(event) => {
        if (dragging.current) onHold(under(event));
      }}
      onPointerUp={(event) => {
        if (!dragging.current) return;
        dragging.current = false;
        onLetGo(under(event));
      }}
      onPointerCancel={() => {
        dragging.current = false;
        onAbandon();
      }}
    >
      <PlaneRows outline={outline} hue={hue} />
      <span className="plane-mark" style={{ left: `${(at.c / WIDEST) * 100}%`, top: `${(1 - at.l) * 100}%`, background: hex }} />
    </div>
  );
}

/** The colours of the plane, drawn anew only for another hue: while the slider moves they stand still. */
const PlaneRows = memo(function PlaneRows({ outline, hue }: { outline: readonly number[]; hue: number }) {
  return outline.map((chroma, row) => {
    const l = 1 - row / (outline.length - 1);
    return (
      <span
        key={row}
        className="plane-row"
        style={{
          width: `${(chroma / WIDEST) * 100}%`,
          background: `linear-gradient(to right in oklab, oklch(${l} 0 ${hue}), oklch(${l} ${chroma} ${hue}))`,
        }}
      />
    );
  });
});

function HueSlider({ at, onStart, onHold, onLetGo, onAbandon }: Handles) {
  return (
    <input
      type="range"
      className="hue-slider"
      aria-label="Hue"
      min={0}
      max={359}
      step={1}
      value={Math.round(at.h)}
      onPointerDown={onStart}
      onFocus={onStart}
      onChange={(event) => onHold({ ...at, h: Number(event.target.value) })}
      onPointerUp={(event) => onLetGo({ ...at, h: Number(event.currentTarget.value) })}
      onKeyUp={(event) => {
        if (event.key === 'Escape') onAbandon();
        else if (/^(Arrow|Page|Home|End)/.test(event.key)) onLetGo({ ...at, h: Number(event.currentTarget.value) });
      }}
    />
  );
}
