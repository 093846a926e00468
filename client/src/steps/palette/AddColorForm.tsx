import { Button, Input } from 'antd';
import { useId } from 'react';
import { useActions } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { onEscape } from '../../ui/keys';
import { Problem } from '../../ui/Problem';

declare global {
  interface Window {
    /** A web standard that not every browser has (EyeDropper API, WICG). */
    EyeDropper?: new () => { open: () => Promise<{ sRGBHex: string }> };
  }
}

/** A new colour by name and value. Escape gives it up. */
export function AddColorForm({ onDone, onCancel }: { onDone: (id: string) => void; onCancel: () => void }) {
  const { make } = useActions();
  const [name, setName] = useDraft('color name');
  const [css, setCss] = useDraft('color value');
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    const color = crypto.randomUUID();
    const wrong = await make(
      { kind: 'addThing', of: 'color', id: color, name, like: null, values: { color: css }, in: null },
      { saidAtItsPlace: true },
    );
    if (wrong !== null) return wrong;
    setName('');
    setCss('');
    onDone(color);
    return null;
  });
  const type = (put: (text: string) => void) => (event: { target: { value: string } }) => {
    put(event.target.value);
    mend();
  };
  const fromScreen = async () => {
    const { EyeDropper } = window;
    if (!EyeDropper) return;
    try {
      setCss((await new EyeDropper().open()).sRGBHex);
      mend();
    } catch {
      // Escape gives it up.
    }
  };
  return (
    <form className="add-form" aria-label="Add a colour" onSubmit={submit}>
      <Input
        aria-label="Name of the colour"
        aria-describedby={problem === null ? undefined : id}
        placeholder="name"
        value={name}
        // It was opened to type into it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onKeyDown={onEscape(onCancel)}
        onChange={type(setName)}
      />
      <Input
        aria-label="Value of the colour"
        aria-describedby={problem === null ? undefined : id}
        className="mono"
        placeholder="#5f7a3a"
        value={css}
        onKeyDown={onEscape(onCancel)}
        onChange={type(setCss)}
      />
      <span className="add-acts">
        {window.EyeDropper && (
          <Button onClick={() => void fromScreen()} title="Take the colour of a point anywhere on the screen">
            Point
          </Button>
        )}{' '}
        <Button type="primary" htmlType="submit" loading={sending}>
          Add
        </Button>
      </span>
      <Problem text={problem} id={id} />
    </form>
  );
}
