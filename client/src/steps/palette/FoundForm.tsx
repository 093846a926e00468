import { Button, Checkbox } from 'antd';
import { useState, type ReactNode } from 'react';
import type { Schemas } from '../../api/client';
import { useActions } from '../../site/editingContext';
import { useSending } from '../../site/useDraft';
import { Problem } from '../../ui/Problem';
import './FoundForm.css';

type Found = Schemas['FoundColor'];

export interface FoundProps {
  /** Given the id of the first that was added. */
  onDone: (id: string) => void;
  onCancel: () => void;
}

interface Props extends FoundProps {
  label: string;
  /** What was found; undefined before anything was looked at. */
  found: Schemas['FoundColors'] | undefined;
  /** More that was found in the same place, one by one. */
  more?: readonly Found[];
  looking: boolean;
  /** Stops the looking; absent where it is over in no time. */
  onStop?: () => void;
  problem: string | undefined;
  /** A file was dropped or pasted. */
  onFile?: (file: File) => void;
  /** Where the colours are looked for. */
  children: ReactNode;
  /** What stands beside those that were found. */
  beside?: ReactNode;
}

/** Colours that were found: those that are ticked come into the palette, all with one edit. */
export function FoundForm({ label, found, more = [], looking, onStop, problem, onFile, onDone, onCancel, children, beside }: Props) {
  const { make } = useActions();
  // What the palette has already is not ticked, until it is. Ticks are about one answer.
  const [touched, setTouched] = useState<{ of: unknown; ticks: ReadonlyMap<number, boolean> }>({ of: undefined, ticks: new Map() });
  const ticks = touched.of === found ? touched.ticks : new Map<number, boolean>();
  const colors = [...(found?.colors ?? []), ...more];
  const isTicked = (color: Found, i: number) => ticks.get(i) ?? color.known === null;
  const chosen = colors.filter(isTicked);
  const add = useSending(async () => {
    const added = chosen.map(({ name, css }) => ({ id: crypto.randomUUID(), name, color: css }));
    const wrong = await make({ kind: 'addColors', colors: added }, { saidAtItsPlace: true });
    if (wrong === null) onDone(added[0]?.id ?? '');
    return wrong;
  });
  const take = (files: FileList) => {
    const file = files[0];
    if (file) onFile?.(file);
  };
  return (
    <form
      className="found-colors"
      aria-label={label}
      onSubmit={add.submit}
      onDragOver={(event) => event.preventDefault()}
      onDrop={(event) => {
        event.preventDefault();
        take(event.dataTransfer.files);
      }}
      onPaste={(event) => take(event.clipboardData.files)}
    >
      {children}
      <div className="found-beside">
        {beside && <div className="beside">{beside}</div>}
        <div>
          <div role="status" className="quiet">
            {looking ? 'Looking… ' : found && said(found, colors.length, chosen.length)}
            {looking && onStop && (
              <Button size="small" onClick={onStop}>
                Stop
              </Button>
            )}
          </div>
          <Problem text={problem ?? add.problem} />
          {colors.length > 0 && (
            <ul aria-label="Colours that were found">
              {colors.map((color, i) => (
                <li key={`${i} ${color.css}`}>
                  <Checkbox
                    checked={isTicked(color, i)}
                    onChange={(event) => {
                      add.mend();
                      setTouched({ of: found, ticks: new Map(ticks).set(i, event.target.checked) });
                    }}
                  >
                    <span className="swatch" style={{ background: color.hex }} />
                    <strong>{color.name}</strong> <code className="quiet">{color.css}</code>
                  </Checkbox>
                  <span className="quiet" title={facts(color)}>
                    {facts(color)}
                  </span>
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
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
        <Button type="primary" htmlType="submit" loading={add.sending} disabled={chosen.length === 0}>
          {chosen.length === 1 ? 'Add 1 colour' : chosen.length === 0 ? 'Add colours' : `Add ${chosen.length} colours`}
        </Button>{' '}
        <Button onClick={onCancel}>Cancel</Button>
      </div>
    </form>
  );
}

/** What it paints, how much of the picture it is, and which colour of the palette is the same. */
const facts = ({ paints, share, known }: Found): string =>
  [paints.join(', '), share === null ? '' : percent(share), known === null ? '' : `as ${known}`].filter((fact) => fact !== '').join(' · ');

const percent = (share: number): string => (share < 0.005 ? 'under 1 %' : `${Math.round(share * 100)} %`);

function said({ unread, left }: Schemas['FoundColors'], count: number, ticked: number): string {
  const counted = count === 1 ? '1 colour' : `${count} colours`;
  const more = left > 0 ? ` The ${left} after them are left out.` : '';
  const lines = unread.length === 0 ? '' : unread.length === 1 ? ' 1 line holds none.' : ` ${unread.length} lines hold none.`;
  return `${counted} found, ${ticked} ticked.${more}${lines}`;
}
