import { Button, Input } from 'antd';
import { useId } from 'react';
import type { Schemas } from '../api/client';
import { useActions } from '../site/editingContext';
import { useDraft, useSending } from '../site/useDraft';
import { Problem } from '../ui/Problem';
import { onEscape } from '../ui/keys';
import { withArticle } from '../ui/words';

interface Props {
  kind: Schemas['KindView'];
  onDone: (id: string) => void;
  onCancel: () => void;
}

/** A new thing by its name; what it is made of is set in its editor. Escape gives it up. */
export function AddThing({ kind, onDone, onCancel }: Props) {
  const { make } = useActions();
  const [name, setName] = useDraft(`${kind.code} name`);
  const problemId = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    const id = crypto.randomUUID();
    const wrong = await make({ kind: 'addThing', of: kind.code, id, name, like: null, values: null, in: null }, { saidAtItsPlace: true });
    if (wrong !== null) return wrong;
    setName('');
    onDone(id);
    return null;
  });
  return (
    <form className="add-form" aria-label={`Add ${withArticle(kind.name)}`} onSubmit={submit}>
      <Input
        aria-label={`Name of the ${kind.name}`}
        aria-describedby={problem === null ? undefined : problemId}
        placeholder="name"
        value={name}
        // It was opened to type into it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onKeyDown={onEscape(onCancel)}
        onChange={(event) => {
          setName(event.target.value);
          mend();
        }}
      />
      <Button type="primary" htmlType="submit" loading={sending}>
        Add
      </Button>
      <Problem text={problem} id={problemId} />
    </form>
  );
}
