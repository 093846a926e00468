import { Button, Dropdown, Tooltip } from 'antd';
import { Link } from 'react-router';
import type { Editing } from '../site/editing';
import { useEditing } from '../site/editingContext';
import { KeysButton } from './KeysButton';
import { useReverse } from './shortcuts';
import './TopBar.css';

/** Site, undo and redo, save state, release. */
export function TopBar({ onFind }: { onFind: () => void }) {
  const site = useEditing((e) => e.site);
  const history = useEditing((e) => e.history);
  const saving = useEditing((e) => e.saving);
  const connected = useEditing((e) => e.connected);
  const typed = useEditing((e) => e.typed);
  const reverse = useReverse();
  const release = `/api/sites/${site.slug}/release`;
  return (
    <header className="top-bar">
      <Link to="/" className="wordmark" title="All sites">
        Sandbar
      </Link>
      <span className="site-title" title={site.name}>
        {site.name}
      </span>
      <span className="rule" aria-hidden="true" />
      <ReverseButton way="undo" label={history.undo ?? null} onClick={() => void reverse('undo')} />
      <ReverseButton way="redo" label={history.redo ?? null} onClick={() => void reverse('redo')} />
      <span className="save-state" role="status">
        {saveState(site.version, { connected, saving, typed })}
      </span>
      <span className="spring" />
      <KeysButton />
      <button type="button" className="bar-button" onClick={onFind}>
        Find <kbd>/</kbd>
      </button>
      <Dropdown
        trigger={['click']}
        menu={{
          items: [
            { key: 'css', label: <a href={`${release}/site.css`}>Stylesheet (site.css)</a> },
            { key: 'zip', label: <a href={`${release}/pages.zip`}>Pages, fonts and pictures (zip)</a> },
            { key: 'file', label: <a href={`${release}/site-file.zip`}>The site itself, for sandbar build (zip)</a> },
          ],
        }}
      >
        <Button className="release">Release</Button>
      </Dropdown>
    </header>
  );
}

function saveState(version: number, { connected, saving, typed }: Pick<Editing, 'connected' | 'saving' | 'typed'>): string {
  const waiting = Object.values(typed);
  if (!connected) return waiting.length > 0 ? 'No connection. What you typed is kept here…' : 'No connection. Trying again…';
  if (waiting.some((t) => t.wrong)) return 'Not everything is saved: look at what you typed';
  if (saving || waiting.length > 0) return 'Saving…';
  return version === 0 ? 'All changes saved' : `All changes saved · edit ${version}`;
}

function ReverseButton({ way, label, onClick }: { way: 'undo' | 'redo'; label: string | null; onClick: () => void }) {
  const name = way === 'undo' ? 'Undo' : 'Redo';
  return (
    <Tooltip title={label === null ? `Nothing to ${way}` : `${name}: ${label}`} trigger={['hover', 'focus']}>
      <button
        type="button"
        className="icon-button"
        aria-label={label === null ? name : `${name}: ${label}`}
        disabled={label === null}
        onClick={onClick}
      >
        <svg viewBox="0 0 16 16" width="15" height="15" aria-hidden="true" style={way === 'redo' ? { transform: 'scaleX(-1)' } : undefined}>
          <path
            d="M3 6h7a3.5 3.5 0 0 1 0 7H6M3 6l3-3M3 6l3 3"
            fill="none"
            stroke="currentColor"
            strokeWidth="1.6"
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        </svg>
      </button>
    </Tooltip>
  );
}
