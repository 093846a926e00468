import { Button, Input } from 'antd';
import { useState, type FormEvent } from 'react';
import type { Schemas } from '../api/client';
import { useActions } from '../site/editingContext';
import { Problem } from '../ui/Problem';
import { withArticle } from '../ui/words';

/** A new thing by its name; what it is made of is set in its editor. */
export function AddThing({ kind, onDone }: { kind: Schemas['KindView']; onDone: (id: string) => void }) {
  const { make } = useActions();
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const add = async (event: FormEvent) => {
    event.preventDefault();
    const id = crypto.randomUUID();
    const wrong = await make({ kind: 'addThing', of: kind.code, id, name, like: null, values: null, in: null });
    if (wrong === null) onDone(id);
    else setProblem(wrong);
  };
  return (
    <form className="add-form" aria-label={`Add ${withArticle(kind.name)}`} onSubmit={(event) => void add(event)}>
      <Input
        aria-label={`Name of the ${kind.name}`}
        placeholder="name"
        value={name}
        // It was opened to type into it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onChange={(event) => {
          setName(event.target.value);
          setProblem(null);
        }}
      />
      <Button type="primary" htmlType="submit">
        Add
      </Button>
      <Problem text={problem} />
    </form>
  );
}
