import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '../api/client';
import { useTrial } from '../site/useTrial';
import { useSingleKeys } from '../ui/keys';
import { Problem } from '../ui/Problem';
import { Shortened } from '../ui/Shortened';
import { CellEditor, type Opening } from './CellEditor';
import { numberIn, stepNumber } from './numbers';
import { useDrag, useHeld } from './useHeld';
import { useTypedText } from './useTypedText';
import './ValueCell.css';

interface Props {
  /** What the value is, for labels. */
  name: string;
  /** The value as set here; null where it is inherited. */
  text: string | null;
  /** What stands here where nothing is set; null where something always is. */
  inherited: string | null;
  /** What can be named, most fitting first. */
  names: readonly string[];
  /** The edit that sets a text, or with null clears what is set. */
  edit: (text: string | null) => Edit;
  note?: string | undefined;
  /** CSS of the fill the value shows. */
  swatch?: string | null | undefined;
  /** Whether the value differs at some width. */
  notch?: boolean;
  /** Whether it takes words rather than a value: digits in them are not stepped. */
  isWords?: boolean;
  /** Whether Tab comes to it; in a table that is one tab stop it comes to one cell. */
  isStop?: boolean;
}

/** Whether a key types: all letters do in a table of values, apart from the one that finds. */
const isLetter = (event: KeyboardEvent) =>
  event.key.length === 1 &&
  event.key !== ' ' &&
  !(event.key === '/' && useSingleKeys.getState().on) &&
  !event.ctrlKey &&
  !event.metaKey &&
  !event.altKey;

/** Pixels of the hand for one step of a number. */
const PER_STEP = 5;

/** A value shown as text. Enter, a click or typing opens it, dragging across steps its number, Delete returns it to what it inherits. */
export function ValueCell({ name, text, inherited, names, edit, note, swatch, notch = false, isWords = false, isStop = true }: Props) {
  const { make } = useTrial();
  const typed = useTypedText({ name, value: text ?? '', edit, canBeEmpty: isWords && inherited !== null });
  const [opening, setOpening] = useState<Opening | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const returns = useRef(false);
  const id = useId();
  const at = text === null || isWords ? null : numberIn(text);
  const held = useHeld<string>(edit, true);
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
  const shown = held.value ?? (typed.isTyped ? typed.text : (text ?? inherited ?? ''));
  const wrong = typed.problem ?? problem;

  const open = (how: Opening, letter?: string) => {
    setProblem(null);
    setOpening(how);
    if (letter !== undefined) typed.type(letter);
  };
  // Once the button stands again in the field's place: a frame later it may not be there yet.
  useEffect(() => {
    if (opening !== null || !returns.current) return;
    returns.current = false;
    button.current?.focus();
  }, [opening]);
  const clear = () => {
    // What was just typed may be on its way: what clears it comes after it.
    const isSet = text !== null || (typed.isTyped && typed.problem === null);
    typed.abandon();
    setProblem(null);
    if (inherited === null) open('letter', '');
    else if (isSet) void make(edit(null), { saidAtItsPlace: true }).then(setProblem);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Escape' && wrong !== null) {
      setProblem(null);
      typed.abandon();
    } else if (event.key === 'Delete' || event.key === 'Backspace') clear();
    else if (event.key === '=' && !isWords) open('list');
    else if (isLetter(event)) open('letter', event.key);
    else return;
    event.preventDefault();
  };

  if (opening !== null)
    return (
      <CellEditor
        name={name}
        opening={opening}
        names={names}
        isWords={isWords}
        typed={typed}
        edit={edit}
        onClose={(byKey) => {
          returns.current = byKey;
          setOpening(null);
        }}
      />
    );
  return (
    <>
      <button
        type="button"
        ref={button}
        tabIndex={isStop ? 0 : -1}
        className={`${text === null && !typed.isTyped ? 'cell inherited' : 'cell set'}${at !== null ? ' draggable' : ''}`}
        aria-label={`${name}: ${shown}${note ? ` ${note}` : ''}${notch ? ', differs at some width' : ''}`}
        aria-describedby={wrong === null ? undefined : id}
        onClick={() => {
          if (!drag.wasDragged()) open('text');
        }}
        onKeyDown={onKeyDown}
        {...(at === null ? {} : drag.handlers)}
      >
        {swatch && <span className="swatch" style={{ background: swatch }} />}
        <span className="cell-text" title={text ?? undefined}>
          <Shortened text={shown} />
        </span>{' '}
        {note && held.value === null && !typed.isTyped && <span className="note">{note}</span>}
        {notch && <span className="notch" title="Differs at some width" />}
      </button>
      <Problem text={wrong} id={id} />
    </>
  );
}
