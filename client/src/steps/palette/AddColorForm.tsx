import { Button, Input } from 'antd';
import { useState, type FormEvent } from 'react';
import { useActions } from '../../site/editingContext';
import { Problem } from '../../ui/Problem';

/** A new colour by name and value. */
export function AddColorForm({ onDone }: { onDone: (id: string) => void }) {
  const { make } = useActions();
  const [name, setName] = useState('');
  const [css, setCss] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (event: FormEvent) => {
    event.preventDefault();
    const color = crypto.randomUUID();
    const wrong = await make({ kind: 'addThing', of: 'color', id: color, name, like: null, values: { color: css }, in: null });
    if (wrong === null) onDone(color);
    else setProblem(wrong);
  };
  return (
    <form className="add-form" aria-label="Add a colour" onSubmit={(event) => void add(event)}>
      <Input aria-label="Name of the colour" placeholder="name, such as moss" value={name} onChange={(e) => setName(e.target.value)} />
      <Input aria-label="Value of the colour" className="mono" placeholder="#5f7a3a" value={css} onChange={(e) => setCss(e.target.value)} />
      <Button type="primary" htmlType="submit">
        Add
      </Button>
      <Problem text={problem} />
    </form>
  );
}
