import { AutoComplete, Input, type InputRef } from 'antd';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { Edit } from '../api/client';
import { newGesture } from '../api/window';
import { useActions, useEditing } from '../app/editingContext';
import { Shortened } from '../app/Shortened';
import { firstNumber, stepNumber } from './cells';
import { Problem } from '../app/Problem';

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
  const drag = useNumberDrag(text, edit, setProblem);
  const shown = drag.text ?? text ?? inherited;

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
    if (event.key === 'Escape' && drag.text !== null) drag.abandon();
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
        className={`${text === null ? 'cell inherited' : 'cell set'}${drag.canDrag ? ' draggable' : ''}`}
        aria-label={`${name}: ${shown}${note ? ` ${note}` : ''}`}
        onClick={() => {
          if (!drag.wasDragged()) setTyped(text ?? '');
        }}
        onKeyDown={onKeyDown}
        {...drag.handlers}
      >
        {swatch && <span className="swatch" style={{ background: swatch }} />}
        <span className="cell-text" title={text ?? undefined}>
          <Shortened text={shown} />
        </span>{' '}
        {note && drag.text === null && <span className="note">{note}</span>}
        {notch && <span className="notch" title="Differs at some width" />}
      </button>
      <Problem text={problem} />
    </>
  );
}

/** Steps the first number of a text as the hand moves across: the stage follows, letting go makes the edit. */
function useNumberDrag(text: string | null, edit: (text: string) => Edit, onProblem: (problem: string | null) => void) {
  const { attempt, cancelTrial, make } = useActions();
  const [dragged, setDragged] = useState<string | null>(null);
  const from = useRef<number | null>(null);
  const moved = useRef(false);
  const at = text === null ? null : firstNumber(text);

  const stepped = (event: PointerEvent): string | null => {
    if (from.current === null || text === null || at === null) return null;
    const steps = Math.round((event.clientX - from.current) / PER_STEP) * (event.shiftKey ? 10 : 1);
    if (steps === 0 && !moved.current) return null;
    return stepNumber(text, at, steps)?.text ?? null;
  };
  const abandon = () => {
    from.current = null;
    setDragged(null);
    cancelTrial();
  };
  return {
    text: dragged,
    canDrag: at !== null,
    abandon,
    /** Whether the click that comes now ends a drag. */
    wasDragged: () => {
      const was = moved.current;
      moved.current = false;
      return was;
    },
    handlers: {
      onPointerDown: (event: PointerEvent<HTMLButtonElement>) => {
        moved.current = false;
        if (event.button !== 0 || at === null) return;
        from.current = event.clientX;
        event.currentTarget.setPointerCapture(event.pointerId);
      },
      onPointerMove: (event: PointerEvent) => {
        const next = stepped(event);
        if (next === null || next === dragged) return;
        moved.current = true;
        setDragged(next);
        attempt(edit(next));
      },
      onPointerUp: (event: PointerEvent) => {
        const next = stepped(event);
        from.current = null;
        if (!moved.current || next === null) return;
        if (next === text) abandon();
        else
          void make(edit(next)).then((wrong) => {
            setDragged(null);
            onProblem(wrong);
          });
      },
      onPointerCancel: abandon,
    },
  };
}

interface EditorProps {
  name: string;
  names: readonly string[];
  start: string;
  before: string;
  edit: (text: string) => Edit;
  onClose: () => void;
}

function CellEditor({ name, names, start, before, edit, onClose }: EditorProps) {
  const { attempt, cancelTrial, make } = useActions();
  const refused = useEditing((e) => e.refused);
  const [text, setText] = useState(start);
  const [problem, setProblem] = useState<string | null>(null);
  const [listed, setListed] = useState(start === '');
  const gesture = useRef(newGesture());
  const input = useRef<InputRef>(null);
  const closing = useRef(false);
  // An option counts once the keys have led to it; one that only lies under the pointer must not take the place of what was typed.
  const led = useRef(false);

  const wanted = text.trim().toLowerCase();
  const options = names.filter((n) => wanted === '' || n.toLowerCase().includes(wanted)).map((value) => ({ value }));
  const isOpen = listed && options.length > 0;

  const change = (next: string) => {
    setText(next);
    setProblem(null);
    led.current = false;
    if (next.trim().length > 0) attempt(edit(next));
    else cancelTrial();
  };
  const abandon = () => {
    closing.current = true;
    cancelTrial();
    onClose();
  };
  const commit = async (value = text) => {
    if (closing.current) return;
    if (value.trim() === '' || value === before) {
      abandon();
      return;
    }
    const wrong = await make(edit(value), gesture.current);
    if (wrong === null) {
      closing.current = true;
      onClose();
    } else {
      setProblem(wrong);
    }
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (led.current) return;
      event.stopPropagation();
      void commit();
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      abandon();
    } else if (event.key === '=') {
      event.preventDefault();
      setListed(true);
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && isOpen) {
      led.current = true;
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
      const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1);
      const field = event.currentTarget;
      const stepped = stepNumber(text, field.selectionStart ?? text.length, by);
      if (!stepped) return;
      event.preventDefault();
      // The list of names would open on it.
      event.stopPropagation();
      change(stepped.text);
      requestAnimationFrame(() => field.setSelectionRange(stepped.caret, stepped.caret));
    }
  };

  const wrong = problem ?? (wanted === '' ? null : refused);
  return (
    <div className="cell-editor">
      <AutoComplete
        value={text}
        options={options}
        open={isOpen}
        onOpenChange={setListed}
        popupMatchSelectWidth={200}
        defaultActiveFirstOption={false}
        onChange={change}
        onSelect={(value: string) => void commit(value)}
      >
        <Input
          ref={input}
          aria-label={name}
          aria-invalid={wrong !== null}
          status={wrong ? 'error' : ''}
          className="mono"
          // The cell was opened to type into it.
          autoFocus // eslint-disable-line jsx-a11y/no-autofocus
          onFocus={(event) => {
            if (start === before) event.currentTarget.select();
          }}
          onKeyDown={onKeyDown}
          onBlur={() => void commit()}
        />
      </AutoComplete>
      <Problem text={wrong} />
    </div>
  );
}
