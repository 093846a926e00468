import { useRef, type PointerEvent } from 'react';
import type { Schemas, ThingView } from '../../api/client';
import { fieldOf } from '../../site/catalogue';
import { useActions } from '../../site/editingContext';
import { useDrag, useHeld } from '../../values/useHeld';
import { amount, rounded, setStop, stopAt } from './stops';
import type { GradientView } from './useGradient';

interface Props {
  thing: ThingView;
  gradient: GradientView;
  /** The text that is held against it. */
  reading: Schemas['ReadingView'] | undefined;
  /** Id of the stop in hand. */
  chosen: string | null;
  onChoose: (stop: string) => void;
  onProblem: (problem: string | null) => void;
}

/** The line of a gradient with its stops: they are dragged or moved by keys, and a press between them adds one. */
export function GradientBar({ thing, gradient, reading, chosen, onChoose, onProblem }: Props) {
  const { make } = useActions();
  const bar = useRef<HTMLDivElement>(null);
  const items = thing.items ?? [];
  const at = (clientX: number) => {
    const box = bar.current?.getBoundingClientRect();
    return box ? rounded(Math.max(0, Math.min(100, ((clientX - box.left) / box.width) * 100))) : 0;
  };
  const add = (place: number) => {
    const id = crypto.randomUUID();
    void make(stopAt(thing, gradient.along, place, id), { saidAtItsPlace: true }).then((wrong) => {
      onProblem(wrong);
      if (wrong === null) onChoose(id);
    });
  };
  return (
    <div className="gradient-bar">
      {/* The table below adds stops from the keyboard. */}
      {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions */}
      <div
        ref={bar}
        className="gradient-line"
        title="Press to add a stop here"
        style={{ backgroundImage: gradient.line ?? undefined }}
        onClick={(event) => {
          if (event.target === event.currentTarget) add(at(event.clientX));
        }}
      >
        {reading?.at != null && (
          <span
            className={reading.worst < 4.5 ? 'worst-place failing' : 'worst-place'}
            style={{ insetInlineStart: `${reading.at}%` }}
            title={`Lowest contrast of ${reading.name}: ${reading.worst.toFixed(2)} : 1`}
          />
        )}
        {items.map((item, place) => (
          <StopHandle
            key={item.id}
            gradient={thing.id}
            name={`Stop ${place + 1}, ${fieldOf(item, 'color')}`}
            item={item}
            color={gradient.stops.find((s) => s.id === item.id)?.color}
            isChosen={item.id === chosen}
            at={at}
            onChoose={() => onChoose(item.id)}
            onRemove={() =>
              void make({ kind: 'removeThing', of: 'gradient', id: item.id, by: null, in: thing.id }, { saidAtItsPlace: true }).then(
                onProblem,
              )
            }
          />
        ))}
      </div>
    </div>
  );
}

interface HandleProps {
  gradient: string;
  name: string;
  item: Schemas['ThingItemView'];
  color: string | undefined;
  isChosen: boolean;
  at: (clientX: number) => number;
  onChoose: () => void;
  onRemove: () => void;
}

function StopHandle({ gradient, name, item, color, isChosen, at, onChoose, onRemove }: HandleProps) {
  const stored = amount(item, 'position');
  const held = useHeld<number>((place) => setStop(gradient, item.id, 'position', place));
  const drag = useDrag<number>({
    held,
    at: (event: PointerEvent<HTMLElement>) => at(event.clientX),
    isUnchanged: (next) => next === stored,
  });
  const now = held.value ?? stored;
  const step = (by: number) => void held.letGo(Math.max(0, Math.min(100, rounded(now + by))));
  return (
    <span
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={now}
      aria-valuetext={`${now} %`}
      className={isChosen ? 'stop-handle chosen' : 'stop-handle'}
      style={{ insetInlineStart: `${Math.max(0, Math.min(100, now))}%`, background: color }}
      title={`${name}, at ${now} %`}
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
        const by = { ArrowRight: far, ArrowUp: far, ArrowLeft: -far, ArrowDown: -far, PageUp: 10, PageDown: -10 }[event.key];
        if (by !== undefined) step(by);
        else if (event.key === 'Home') step(-now);
        else if (event.key === 'End') step(100 - now);
        else if (event.key === 'Delete') onRemove();
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
    />
  );
}
