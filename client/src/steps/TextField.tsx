import { Input } from 'antd';
import { useId, useState } from 'react';
import type { Edit } from '../api/client';
import { useActions } from '../app/editingContext';
import { Problem } from '../app/Problem';

interface Props {
  label: string;
  value: string;
  mono?: boolean;
  /** The edit for a text; it is shown on the stage while typing. */
  tries?: (text: string) => Edit;
  /** The edit for a text, where there is nothing to show before it is made. */
  makes?: (text: string) => Edit;
}

/** A value shown as text that can be typed over: Enter or leaving makes it, Escape brings back what was there. */
export function TextField({ label, value, mono = false, tries, makes }: Props) {
  const { attempt, cancelTrial, make } = useActions();
  const [text, setText] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const id = useId();
  const edit = tries ?? makes;

  const commit = async () => {
    if (text === null || !edit) return;
    if (text === value) {
      abandon();
      return;
    }
    const wrong = await make(edit(text));
    setProblem(wrong);
    if (wrong === null) setText(null);
  };
  const abandon = () => {
    setText(null);
    setProblem(null);
    if (tries) cancelTrial();
  };

  return (
    <div className="text-field">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        className={mono ? 'mono' : ''}
        value={text ?? value}
        status={problem ? 'error' : ''}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-problem` : undefined}
        spellCheck={false}
        onChange={(event) => {
          setText(event.target.value);
          setProblem(null);
          if (tries) attempt(tries(event.target.value));
        }}
        onBlur={() => void commit()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void commit();
          if (event.key === 'Escape') abandon();
        }}
      />
      <Problem text={problem} id={`${id}-problem`} />
    </div>
  );
}
