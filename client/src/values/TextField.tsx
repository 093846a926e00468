import { Input } from 'antd';
import { useId } from 'react';
import type { Edit } from '../api/client';
import { Problem } from '../ui/Problem';
import { useTypedText } from './useTypedText';
import './TextField.css';

interface Props {
  label: string;
  value: string;
  mono?: boolean;
  /** The edit for a text. */
  edit: (text: string) => Edit;
  /** Whether it is shown on the stage while it is typed. */
  tries?: boolean;
}

/** A value shown as text that can be typed over: Enter or leaving makes it, Escape brings back what was there. */
export function TextField({ label, value, mono = false, edit, tries = false }: Props) {
  const typed = useTypedText({ name: label, value, edit, tries, canBeEmpty: true });
  const wrong = typed.problem;
  const id = useId();
  return (
    <div className="text-field">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        className={mono ? 'mono' : ''}
        value={typed.text}
        status={wrong ? 'error' : ''}
        aria-invalid={wrong !== null}
        aria-describedby={wrong ? `${id}-problem` : undefined}
        spellCheck={false}
        onChange={(event) => typed.type(event.target.value)}
        onBlur={typed.leave}
        onKeyDown={(event) => {
          if (event.key === 'Enter') typed.commit();
          if (event.key === 'Escape') typed.abandon();
        }}
      />
      <Problem text={wrong} id={`${id}-problem`} />
    </div>
  );
}
