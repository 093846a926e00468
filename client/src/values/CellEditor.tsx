import { AutoComplete, Input } from 'antd';
import { useRef, useState, type KeyboardEvent } from 'react';
import type { Edit } from '../api/client';
import { useEditing } from '../site/editingContext';
import { Problem } from '../ui/Problem';
import { stepNumber } from './numbers';
import { useTypedText } from './useTypedText';
import './CellEditor.css';

interface Props {
  name: string;
  /** What can be named, most fitting first. */
  names: readonly string[];
  /** What it begins with: what is stored, or the key that opened it. */
  start: string;
  /** What is stored. */
  before: string;
  edit: (text: string) => Edit;
  onClose: () => void;
}

/** A value being typed in its cell: tried at once, arrow keys step the number at the caret, = lists what can be named. */
export function CellEditor({ name, names, start, before, edit, onClose }: Props) {
  const typed = useTypedText({ value: before, start, edit, onDone: onClose });
  const refused = useEditing((e) => e.refused);
  const [listed, setListed] = useState(start === '');
  // An option counts once the keys have led to it; one that only lies under the pointer must not take the place of what was typed.
  const led = useRef(false);

  const wanted = typed.text.trim().toLowerCase();
  const options = names.filter((n) => wanted === '' || n.toLowerCase().includes(wanted)).map((value) => ({ value }));
  const isOpen = listed && options.length > 0;
  const change = (next: string) => {
    led.current = false;
    typed.type(next);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      if (led.current) return;
      event.stopPropagation();
      void typed.commit();
    } else if (event.key === 'Escape') {
      event.stopPropagation();
      typed.abandon();
    } else if (event.key === '=') {
      event.preventDefault();
      setListed(true);
    } else if ((event.key === 'ArrowUp' || event.key === 'ArrowDown') && isOpen) {
      led.current = true;
    } else if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
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

  const wrong = typed.problem ?? (wanted === '' ? null : refused);
  return (
    <div className="cell-editor">
      <AutoComplete
        value={typed.text}
        options={options}
        open={isOpen}
        onOpenChange={setListed}
        popupMatchSelectWidth={200}
        defaultActiveFirstOption={false}
        onChange={change}
        onSelect={(value: string) => void typed.commit(value)}
      >
        <Input
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
          onBlur={() => void typed.commit()}
        />
      </AutoComplete>
      <Problem text={wrong} />
    </div>
  );
}
