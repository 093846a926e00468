import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '../api/client';
import { useActions } from '../site/editingContext';
import { Problem } from '../ui/Problem';
import { Shortened } from '../ui/Shortened';
import { CellEditor } from './CellEditor';
import { firstNumber, stepNumber } from './numbers';
import { useDrag, useHeld } from './useHeld';
import './ValueCell.css';

interface Props {
  /** What the value is, for labels. */
  name: string;
  /** The value as set here; null where it is inherited. */
  text: string | null;
  /** What stands here where nothing is set. */
  inherited: string;
  /** What can be named, most fitting first. */
  names: readonly string[];
  /** The edit that sets a text, or with null clears what is set. */
  edit: (text: string | null) => Edit;
  note?: string | undefined;
  /** CSS of the fill the value shows. */
  swatch?: string | null | undefined;
  /** Whether the value differs at some width. */
  notch?: boolean;
}

/** Pixels of the hand for one step of a number. */
const PER_STEP = 5;

/** A value shown as text. Enter, a click or typing opens it, dragging across steps its number, Delete returns it to what it inherits. */
export function ValueCell({ name, text, inherited, names, edit, note, swatch, notch = false }: Props) {
  const { make } = useActions();
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const returning = useRef(false);
  const at = text === null ? null : firstNumber(text);
  const held = useHeld<string>(edit);
  const drag = useDrag({
    held,
    onProblem: setProblem,
    isUnchanged: (next) => next === text,
    at: (event, start) => {
      if (text === null || at === null) return null;
      const steps = Math.round((event.clientX - start.clientX) / PER_STEP) * (event.shiftKey ? 10 : 1);
      return steps === 0 && held.value === null ? null : (stepNumber(text, at, steps)?.text ?? null);
    },
  });
  const shown = held.value ?? text ?? inherited;

  const close = () => {
    setTyped(null);
    setProblem(null);
    returning.current = true;
  };
  // Once the button stands again in the field's place: a frame later it may not be there yet.
  useEffect(() => {
    if (typed !== null || !returning.current) return;
    returning.current = false;
    button.current?.focus();
  }, [typed]);
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape' && held.value !== null) drag.abandon();
    else if ((event.key === 'Delete' || event.key === 'Backspace') && text !== null) void make(edit(null)).then(setProblem);
    else if (event.key === '=') setTyped('');
    else if (event.key.length === 1 && event.key !== ' ' && !event.ctrlKey && !event.metaKey && !event.altKey) setTyped(event.key);
    else return;
    event.preventDefault();
  };

  if (typed !== null) return <CellEditor name={name} names={names} start={typed} before={text ?? ''} edit={edit} onClose={close} />;
  return (
    <>
      <button
        type="button"
        ref={button}
        className={`${text === null ? 'cell inherited' : 'cell set'}${at !== null ? ' draggable' : ''}`}
        aria-label={`${name}: ${shown}${note ? ` ${note}` : ''}`}
        onClick={() => {
          if (!drag.wasDragged()) setTyped(text ?? '');
        }}
        onKeyDown={onKeyDown}
        {...(at === null ? {} : drag.handlers)}
      >
        {swatch && <span className="swatch" style={{ background: swatch }} />}
        <span className="cell-text" title={text ?? undefined}>
          <Shortened text={shown} />
        </span>{' '}
        {note && held.value === null && <span className="note">{note}</span>}
        {notch && <span className="notch" title="Differs at some width" />}
      </button>
      <Problem text={problem} />
    </>
  );
}
