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
  const typed = useTypedText({ value, edit, tries, canBeEmpty: true });
  const id = useId();
  return (
    <div className="text-field">
      <label htmlFor={id}>{label}</label>
      <Input
        id={id}
        className={mono ? 'mono' : ''}
        value={typed.text}
        status={typed.problem ? 'error' : ''}
        aria-invalid={typed.problem !== null}
        aria-describedby={typed.problem ? `${id}-problem` : undefined}
        spellCheck={false}
        onChange={(event) => typed.type(event.target.value)}
        onBlur={() => void typed.commit()}
        onKeyDown={(event) => {
          if (event.key === 'Enter') void typed.commit();
          if (event.key === 'Escape') typed.abandon();
        }}
      />
      <Problem text={typed.problem} id={`${id}-problem`} />
    </div>
  );
}
