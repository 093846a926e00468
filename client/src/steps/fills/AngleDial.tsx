import { useRef, type PointerEvent } from 'react';
import type { ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useDrag, useHeld } from '../../values/useHeld';

/** The sides and corners a gradient may run to, clockwise, 45° apart. */
const SIDES = ['top', 'top right', 'right', 'bottom right', 'bottom', 'bottom left', 'left', 'top left'];

/** The angle of a gradient as a dial: 0 points up, clockwise. It is typed among the settings, too. */
export function AngleDial({ thing, kind }: { thing: ThingView; kind: string }) {
  const dial = useRef<HTMLSpanElement>(null);
  // A side or corner it runs to is shown as far as it can be without a box.
  const toward = kind === 'linear' ? SIDES.indexOf(fieldText(thing, 'toward')) : -1;
  const stored = toward >= 0 ? toward * 45 : Number.parseFloat(fieldText(thing, 'angle')) || 0;
  const held = useHeld<number>((degrees) => ({
    kind: 'together',
    words: `${thing.name} · angle → ${degrees}°`,
    edits: [
      { kind: 'setThing', of: 'gradient', id: thing.id, field: 'angle', text: `${degrees}deg`, in: null },
      // A side or corner would have the last word.
      { kind: 'setThing', of: 'gradient', id: thing.id, field: 'toward', text: 'its angle', in: null },
    ],
  }));
  const drag = useDrag<number>({
    held,
    at: (event: PointerEvent<HTMLElement>) => {
      const box = dial.current?.getBoundingClientRect();
      if (!box) return null;
      const radians = Math.atan2(event.clientX - box.left - box.width / 2, box.top + box.height / 2 - event.clientY);
      const degrees = (Math.round((radians / Math.PI) * 180) + 360) % 360;
      return event.shiftKey ? (Math.round(degrees / 15) * 15) % 360 : degrees;
    },
    isUnchanged: (next) => next === stored,
  });
  const now = held.value ?? stored;
  const step = (by: number) => void held.letGo((((now + by) % 360) + 360) % 360);
  const name = kind === 'conic' ? 'Starts at' : 'Angle';
  return (
    <span className="dial-field">
      <span
        ref={dial}
        role="slider"
        tabIndex={0}
        aria-label={`${name} of ${thing.name}`}
        aria-valuemin={0}
        aria-valuemax={360}
        aria-valuenow={now}
        aria-valuetext={`${now} degrees`}
        className="dial"
        title={`${name}: ${now}°. Drag; Shift goes by 15°`}
        {...drag.handlers}
        onFocus={held.begin}
        onKeyDown={(event) => {
          const far = event.shiftKey ? 15 : 1;
          const by = { ArrowRight: far, ArrowUp: far, ArrowLeft: -far, ArrowDown: -far }[event.key];
          if (by === undefined) return;
          event.preventDefault();
          event.stopPropagation();
          step(by);
        }}
      >
        <span className="dial-hand" style={{ rotate: `${now}deg` }} />
      </span>
      <span>{now}°</span>
    </span>
  );
}
