import { Button, Popover } from 'antd';
import { Link } from 'react-router';
import type { Editing } from '../site/editing';
import { useActions, useEditing } from '../site/editingContext';
import { textOf, type Typed } from '../site/typing';
import './SaveState.css';

/** Whether everything is stored; and what is not, with the way to it. */
export function SaveState() {
  const version = useEditing((e) => e.site.version);
  const saving = useEditing((e) => e.saving > 0);
  const trying = useEditing((e) => e.trial !== null);
  const connected = useEditing((e) => e.connected);
  const typed = useEditing((e) => e.typed);
  const stuck = Object.entries(typed).filter(([, one]) => isStuck(one));
  return (
    <>
      <span className="save-state" role="status">
        {saveState({ version, saving, trying, connected, typed })}
      </span>
      {stuck.length > 0 && (
        <Popover trigger="click" placement="bottomLeft" content={<Unsaved places={stuck} />}>
          <button type="button" className="bar-button">
            Look at it
          </button>
        </Popover>
      )}
    </>
  );
}

function Unsaved({ places }: { places: [string, Typed][] }) {
  const { keepMine, takeStored } = useActions();
  return (
    <ul className="unsaved" aria-label="What is not saved">
      {places.map(([place, { name, edit, at, wrong }]) => (
        <li key={place}>
          <strong>{name}</strong> <span className="mono">{shortened(textOf(edit))}</span>
          <p className="problem">{wrong?.said}</p>
          <Link to={at}>Go there</Link> {/* What was in its way may be gone by now: a page that was deleted is back. */}
          <Button size="small" aria-label={`Save what was typed into ${name}`} onClick={() => keepMine(place)}>
            Save it
          </Button>{' '}
          <Button size="small" aria-label={`Drop what was typed into ${name}`} onClick={() => takeStored(place)}>
            Drop it
          </Button>
        </li>
      ))}
    </ul>
  );
}

const MOST = 80;

const shortened = (text: string) => (text.length > MOST ? `${text.slice(0, MOST)}…` : text);

/** Whether it waits for the designer: what could only not be stored just now is sent again by itself. */
const isStuck = ({ wrong }: Typed) => wrong !== null && wrong.kind !== 'failed';

interface State extends Pick<Editing, 'connected' | 'typed'> {
  version: number;
  saving: boolean;
  trying: boolean;
}

export function saveState({ version, saving, trying, connected, typed }: State): string {
  const waiting = Object.values(typed);
  if (!connected) return waiting.length > 0 ? 'No connection. What you typed is kept here…' : 'No connection. Trying again…';
  if (waiting.some(isStuck)) return 'Not everything is saved';
  if (waiting.some((t) => t.wrong)) return 'Not saved yet. Trying again…';
  if (saving || waiting.some((t) => t.left)) return 'Saving…';
  if (trying || waiting.length > 0) return 'Being tried, not saved';
  return version === 0 ? 'All changes saved' : `All changes saved · edit ${version}`;
}
