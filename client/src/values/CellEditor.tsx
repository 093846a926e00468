import { AutoComplete, Input } from 'antd';
import { useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '../api/client';
import { useActions } from '../site/editingContext';
import { Problem } from '../ui/Problem';
import { useEditedValue } from './editedValue';
import { stepNumber } from './numbers';
import { NamedOption } from './NamedOption';
import { useNamedFills } from './useNamedFills';
import { placeOf, type TypedText } from './useTypedText';
import './CellEditor.css';

/** How a cell was opened: to change its text, by a letter that is typed already, or to choose from what can be named. */
export type Opening = 'text' | 'letter' | 'list';

interface Props {
  name: string;
  opening: Opening;
  /** What can be named, most fitting first. */
  names: readonly string[];
  /** Whether it takes words, in which = and arrow keys are what they are anywhere. */
  isWords: boolean;
  typed: TypedText;
  edit: (text: string) => Edit;
  /** @param byKey whether it was closed by Enter, Escape or a choice, and not by going elsewhere */
  onClose: (byKey: boolean) => void;
}

/** How long a value may be unfinished before it is told what is wrong with it, in ms. */
const UNFINISHED = 800;

/** A value being typed in its cell: tried at once, arrow keys step the number at the caret, = lists what can be named. */
export function CellEditor({ name, opening, names, isWords, typed, edit, onClose }: Props) {
  const { attempt, cancelTrial } = useActions();
  const [listed, setListed] = useState(opening === 'list');
  const [all, setAll] = useState(opening === 'list');
  // An option counts once the keys have led to it; one that only lies under the pointer must not take the place of what was typed.
  const led = useRef(false);
  const closed = useRef(false);
  const isUnfinished = useUnfinished(typed.text);
  const fills = useNamedFills(names);
  const id = useId();

  const wanted = typed.text.trim().toLowerCase();
  const options = names.filter((n) => all || wanted === '' || n.toLowerCase().includes(wanted)).map((value) => ({ value }));
  const isOpen = listed && options.length > 0;
  const change = (next: string) => {
    led.current = false;
    setAll(false);
    typed.type(next);
  };
  usePutInto(name, change);
  const close = (byKey: boolean) => {
    closed.current = true;
    onClose(byKey);
  };
  const unlist = () => {
    setListed(false);
    if (!led.current) return;
    led.current = false;
    if (typed.isTyped) attempt(edit(typed.text), placeOf(edit));
    else cancelTrial(placeOf(edit));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (led.current) return;
      event.stopPropagation();
      typed.commit();
      close(true);
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      if (led.current) {
        unlist();
      } else {
        typed.abandon();
        close(true);
      }
    } else if (event.key === '=' && !isWords) {
      event.preventDefault();
      setAll(true);
      setListed(true);
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && isOpen) {
      led.current = true;
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && !isWords) {
      const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1);
      const field = event.currentTarget;
      const stepped = stepNumber(typed.text, field.selectionStart ?? typed.text.length, by);
      if (!stepped) return;
      event.preventDefault();
      // The list of names would open on it.
      event.stopPropagation();
      change(stepped.text);
      requestAnimationFrame(() => field.setSelectionRange(stepped.caret, stepped.caret));
    }
  };

  // Before the list hears of it, which would take what only happens to be called like it.
  const onTab = (event: KeyboardEvent<HTMLDivElement>) => {
    if (event.key !== 'Tab') return;
    event.stopPropagation();
    const next = nextInGrid(event.target as HTMLElement, event.shiftKey);
    if (!next) return;
    event.preventDefault();
    next.focus();
  };

  const wrong = typed.problem ?? (wanted === '' || isUnfinished ? null : typed.refused);
  return (
    <div className="cell-editor" onKeyDownCapture={onTab}>
      <AutoComplete
        value={typed.text}
        options={options}
        open={isOpen}
        onOpenChange={(open) => {
          if (open) setListed(true);
          else unlist();
        }}
        popupMatchSelectWidth={240}
        optionRender={({ value }) => <NamedOption name={String(value)} fill={fills.get(String(value))} />}
        defaultActiveFirstOption={false}
        onChange={change}
        onActive={(value) => {
          if (led.current && typeof value === 'string') attempt(edit(value), placeOf(edit));
        }}
        onSelect={(value: string) => {
          typed.type(value);
          typed.commit();
          close(true);
        }}
      >
        <Input
          aria-label={name}
          aria-invalid={wrong !== null}
          aria-describedby={wrong === null ? undefined : id}
          status={wrong ? 'error' : ''}
          className={isWords ? '' : 'mono'}
          spellCheck={isWords}
          // The cell was opened to type into it.
          autoFocus // eslint-disable-line jsx-a11y/no-autofocus
          onFocus={(event) => {
            if (opening !== 'letter') event.currentTarget.select();
          }}
          onKeyDown={onKeyDown}
          onBlur={() => {
            if (closed.current) return;
            typed.leave();
            close(false);
          }}
        />
      </AutoComplete>
      <Problem text={wrong} id={id} />
    </div>
  );
}

/** What is taken from elsewhere while the value is open comes to stand in it, as if it were typed. */
function usePutInto(name: string, put: (text: string) => void): void {
  const [begin, end] = [useEditedValue((e) => e.begin), useEditedValue((e) => e.end)];
  const current = useRef(put);
  useEffect(() => {
    current.current = put;
  });
  useEffect(() => {
    begin(name, (text) => current.current(text));
    return () => end(name);
  }, [name, begin, end]);
}

/** Whether a text has changed just now: it may not be meant yet. */
function useUnfinished(text: string): boolean {
  const [finished, setFinished] = useState<string | null>(null);
  useEffect(() => {
    const timer = window.setTimeout(() => setFinished(text), UNFINISHED);
    return () => window.clearTimeout(timer);
  }, [text]);
  return finished !== text;
}

/** The value after, or before, one that is being typed in a table that is one tab stop. */
function nextInGrid(field: HTMLElement, back: boolean): HTMLElement | null {
  const grid = field.closest('[role="grid"]');
  const all = [...(grid?.querySelectorAll<HTMLElement>('td button.cell, td input') ?? [])];
  return (grid && all[all.indexOf(field) + (back ? -1 : 1)]) ?? null;
}
