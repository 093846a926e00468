import { Input } from 'antd';
import { useDraft } from '../../site/useDraft';
import { onEscape } from '../../ui/keys';
import { FoundForm, type FoundProps } from './FoundForm';
import { usePastedColors } from './usePastedColors';

/** Colours out of any list as people have it. Escape gives it up. */
export function PastedColors({ onDone, onCancel }: FoundProps) {
  const [text, setText] = useDraft('colour list');
  return (
    <FoundForm
      label="Colours of a list"
      {...usePastedColors(text)}
      onDone={(id) => {
        setText('');
        onDone(id);
      }}
      onCancel={onCancel}
    >
      <Input.TextArea
        aria-label="List of colours"
        className="mono"
        rows={4}
        placeholder={'moss #5f7a3a\nrgb(47 93 58) leaf\n--color-husk: #f6efe2;'}
        value={text}
        maxLength={200_000}
        // It was opened to paste into it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onKeyDown={onEscape(onCancel)}
        onChange={(event) => setText(event.target.value)}
      />
    </FoundForm>
  );
}
