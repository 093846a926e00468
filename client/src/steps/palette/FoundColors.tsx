import { useMutation } from '@tanstack/react-query';
import { Button, Checkbox, Input } from 'antd';
import { useEffect, useId, useState, type ClipboardEvent, type DragEvent } from 'react';
import { answered, api, bytesOf, type Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { onEscape } from '../../ui/keys';
import { colorsAt, onPicked } from '../../stage/picked';
import { Problem } from '../../ui/Problem';
import './FoundColors.css';

type Found = Schemas['FoundColor'];

interface Props {
  from: 'list' | 'picture' | 'stage';
  /** Given the id of the first that was added. */
  onDone: (id: string) => void;
  onCancel: () => void;
}

/** How long the hand rests before a list is read, in ms. */
const PAUSE = 250;

/** Colours out of a pasted list or a picture: those that are ticked come into the palette, all with one edit. Escape gives it up. */
export function FoundColors({ from, onDone, onCancel }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const connected = useEditing((e) => e.connected);
  const { make } = useActions();
  const [typed, setText] = useDraft('colour list');
  const [picked, setPicked] = useState('');
  const text = from === 'stage' ? picked : typed;
  // The picture, and an address for it for as long as it is looked at.
  const [shown, setShown] = useState<{ file: File; url: string } | null>(null);
  useEffect(() => () => URL.revokeObjectURL(shown?.url ?? ''), [shown]);
  const [points, setPoints] = useState<readonly Found[]>([]);
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const id = useId();
  const path = { slug };
  const list = useMutation({
    mutationFn: (typed: string) => answered(api.POST('/api/sites/{slug}/colors/pasted', { params: { path }, body: { text: typed } })),
    onSuccess: ({ colors }) => setLeft(known(colors)),
  });
  const picture = useMutation({
    mutationFn: (file: File) =>
      answered(
        api.POST('/api/sites/{slug}/colors/picture', {
          params: { path },
          ...bytesOf(file),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: ({ colors }) => setLeft(known(colors)),
  });
  const point = useMutation({
    mutationFn: ({ file, x, y }: { file: File; x: number; y: number }) =>
      answered(
        api.POST('/api/sites/{slug}/colors/picture/point', {
          params: { path, query: { x, y } },
          ...bytesOf(file),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    onSuccess: (found) => setPoints((before) => [...before, ...found.colors]),
  });
  useEffect(() => {
    if (from === 'stage') return onPicked((element) => setPicked(colorsAt(element)));
  }, [from]);
  const { mutate } = list;
  useEffect(() => {
    // What could not be read without a connection is read when it is back.
    if (from === 'picture' || text.trim() === '' || !connected) return;
    const timer = window.setTimeout(() => mutate(text), PAUSE);
    return () => window.clearTimeout(timer);
  }, [from, text, connected, mutate]);
  const read = from === 'picture' ? picture : list;
  const answer = from !== 'picture' && text.trim() === '' ? undefined : read.data;
  const found = answer && { ...answer, colors: [...answer.colors, ...points] };
  const chosen = found?.colors.filter((_, i) => !left.has(i)) ?? [];
  const { problem, sending, submit, mend } = useSending(async () => {
    const colors = chosen.map(({ name, css }) => ({ id: crypto.randomUUID(), name, color: css }));
    const wrong = await make({ kind: 'addColors', colors }, { saidAtItsPlace: true });
    if (wrong !== null) return wrong;
    if (from === 'list') setText('');
    onDone(colors[0]?.id ?? '');
    return null;
  });
  const take = (file: File | undefined) => {
    if (file) {
      setShown({ file, url: URL.createObjectURL(file) });
      setPoints([]);
      picture.mutate(file);
    }
    mend();
  };
  return (
    <form
      className="found-colors"
      aria-label={`Colours of ${from === 'list' ? 'a list' : from === 'picture' ? 'a picture' : 'the stage'}`}
      onSubmit={submit}
      onDragOver={(event: DragEvent) => event.preventDefault()}
      onDrop={(event: DragEvent) => {
        event.preventDefault();
        if (from === 'picture') take(event.dataTransfer.files[0]);
      }}
      onPaste={(event: ClipboardEvent) => {
        if (from === 'picture') take(event.clipboardData.files[0]);
      }}
    >
      {from === 'list' ? (
        <Input.TextArea
          aria-label="List of colours"
          aria-describedby={id}
          className="mono"
          rows={4}
          placeholder={'moss #5f7a3a\nrgb(47 93 58) leaf\n--color-husk: #f6efe2;'}
          value={typed}
          maxLength={200_000}
          // It was opened to paste into it.
          autoFocus // eslint-disable-line jsx-a11y/no-autofocus
          onKeyDown={onEscape(onCancel)}
          onChange={(event) => {
            setText(event.target.value);
            mend();
          }}
        />
      ) : from === 'stage' ? (
        <p className="quiet">
          Click anything on the stage, or walk there with the arrow keys: its text, its ground and its lines are listed here.
        </p>
      ) : (
        <label className="picture-file">
          PNG, JPEG, WebP or SVG: choose a file, drop it here, or paste it
          <input
            type="file"
            accept="image/png,image/jpeg,image/webp,image/svg+xml"
            // It was opened to choose one.
            autoFocus // eslint-disable-line jsx-a11y/no-autofocus
            onKeyDown={onEscape(onCancel)}
            onChange={(event) => take(event.target.files?.[0])}
          />
        </label>
      )}
      {shown && found && (
        // A point is for the pointer: by key the colours of the picture are listed.
        // eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions
        <img
          className="picture-preview"
          src={shown.url}
          alt={`${shown.file.name}: press on it to take the colour of a point`}
          onClick={(event) => {
            const box = event.currentTarget.getBoundingClientRect();
            point.mutate({ file: shown.file, x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
          }}
        />
      )}
      <div id={id} role="status" className="quiet">
        {read.isPending ? 'Looking…' : found && said(found, chosen.length)}
      </div>
      <Problem text={read.error?.message ?? point.error?.message ?? problem} />
      {found && found.colors.length > 0 && (
        <ul aria-label="Colours that were found">
          {found.colors.map((color, i) => (
            <li key={`${i} ${color.css}`}>
              <Checkbox
                checked={!left.has(i)}
                onChange={(event) => setLeft((before) => (event.target.checked ? without(before, i) : new Set([...before, i])))}
              >
                <span className="swatch" style={{ background: color.hex }} />
                <strong>{color.name}</strong> <code className="quiet">{color.css}</code>
              </Checkbox>
              <span className="quiet">{color.known !== null ? `as ${color.known}` : color.share !== null && percent(color.share)}</span>
            </li>
          ))}
        </ul>
      )}
      {found && found.unread.length > 0 && (
        <ul className="unread" aria-label="Lines without a colour">
          {found.unread.map(({ line, text: written }) => (
            <li key={line}>
              <span className="quiet">Line {line}</span> <code>{written}</code>
            </li>
          ))}
        </ul>
      )}
      <div className="found-acts">
        <Button type="primary" htmlType="submit" loading={sending} disabled={chosen.length === 0}>
          {chosen.length === 1 ? 'Add 1 colour' : chosen.length === 0 ? 'Add colours' : `Add ${chosen.length} colours`}
        </Button>{' '}
        <Button onClick={onCancel}>Cancel</Button>
      </div>
    </form>
  );
}

/** What the palette has already is not ticked at first. */
const known = (colors: readonly Found[]): ReadonlySet<number> => new Set(colors.flatMap((c, i) => (c.known === null ? [] : [i])));

const without = (set: ReadonlySet<number>, gone: number): ReadonlySet<number> => new Set([...set].filter((i) => i !== gone));

const percent = (share: number): string => (share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`);

function said({ colors, unread, left }: Schemas['FoundColors'], ticked: number): string {
  const counted = colors.length === 1 ? '1 colour' : `${colors.length} colours`;
  const more = left > 0 ? ` The ${left} after them are left out.` : '';
  const lines = unread.length === 0 ? '' : unread.length === 1 ? ' 1 line holds none.' : ` ${unread.length} lines hold none.`;
  return `${counted} found, ${ticked} ticked.${more}${lines}`;
}
