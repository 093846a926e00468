import { AutoComplete, Input, type InputRef } from 'antd';
import { useRef, useState, type KeyboardEvent } from 'react';
import type { Edit, LookView, PropertyView, State } from '../api/client';
import { newGesture } from '../api/window';
import { useActions, useEditing } from '../app/editingContext';
import { findCell, inherited, STATE_NAMES, stepNumber, variesByWidth, type Widths } from './cells';

interface Props {
  look: LookView;
  property: PropertyView;
  state: State;
  widths: Widths;
}

/** A value shown as text; Enter, a click or typing opens it, Delete returns it to what it inherits. */
export function LedgerCell({ look, property, state, widths }: Props) {
  const { make } = useActions();
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const cell = findCell(look, property.id, state, widths);
  const name = `${property.name} in ${STATE_NAMES[state]}`;
  const edit = (text: string | null): Edit => ({
    kind: 'setCell',
    look: look.id,
    property: property.id,
    state,
    from: widths.from,
    below: widths.below,
    text,
  });

  if (property.sameInAllStates && state !== 'rest') return <span className="inherited same">same in all</span>;

  const close = () => {
    setTyped(null);
    setProblem(null);
    requestAnimationFrame(() => button.current?.focus());
  };
  const clear = () => {
    if (cell) void make(edit(null)).then(setProblem);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Delete' || event.key === 'Backspace') clear();
    else if (event.key === '=') setTyped('');
    else if (event.key.length === 1 && event.key !== ' ' && !event.ctrlKey && !event.metaKey && !event.altKey) setTyped(event.key);
    else return;
    event.preventDefault();
  };

  if (typed !== null)
    return <CellEditor name={name} property={property} state={state} start={typed} before={cell?.text ?? ''} edit={edit} onClose={close} />;
  return (
    <>
      <button
        type="button"
        ref={button}
        className={cell ? 'cell set' : 'cell inherited'}
        aria-label={`${name}: ${cell?.text ?? inherited(look, property, state, widths)}${cell?.note ? ` ${cell.note}` : ''}`}
        onClick={() => setTyped(cell?.text ?? '')}
        onKeyDown={onKeyDown}
      >
        {cell?.swatch && <span className="swatch" style={{ background: cell.swatch }} />}
        <span className="cell-text" title={cell?.text}>
          {cell?.text ?? inherited(look, property, state, widths)}
        </span>{' '}
        {cell?.note && <span className="note">{cell.note}</span>}
        {variesByWidth(look, property.id, state) && <span className="notch" title="Differs at some width" />}
      </button>
      {problem && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
    </>
  );
}

interface EditorProps {
  name: string;
  property: PropertyView;
  state: State;
  start: string;
  before: string;
  edit: (text: string) => Edit;
  onClose: () => void;
}

function CellEditor({ name, property, state, start, before, edit, onClose }: EditorProps) {
  const { attempt, cancelTrial, make } = useActions();
  const refused = useEditing((e) => e.refused);
  const [text, setText] = useState(start);
  const [problem, setProblem] = useState<string | null>(null);
  const [listed, setListed] = useState(start === '');
  const gesture = useRef(newGesture());
  const input = useRef<InputRef>(null);
  const closing = useRef(false);

  const change = (next: string) => {
    setText(next);
    setProblem(null);
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
      void commit();
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      abandon();
    } else if (event.key === '=') {
      event.preventDefault();
      setListed(true);
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && !listed) {
      const by = (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1);
      const field = event.currentTarget;
      const stepped = stepNumber(text, field.selectionStart ?? text.length, by);
      if (!stepped) return;
      event.preventDefault();
      change(stepped.text);
      requestAnimationFrame(() => field.setSelectionRange(stepped.caret, stepped.caret));
    }
  };

  const names = state === 'rest' ? property.names : ['rest', ...property.names];
  const wanted = text.trim().toLowerCase();
  const options = names.filter((n) => wanted === '' || n.toLowerCase().includes(wanted)).map((value) => ({ value }));
  const wrong = problem ?? (wanted === '' ? null : refused);
  return (
    <div className="cell-editor">
      <AutoComplete
        value={text}
        options={options}
        open={listed && options.length > 0}
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
      {wrong && (
        <p className="problem" role="alert">
          {wrong}
        </p>
      )}
    </div>
  );
}
