import { Tooltip } from 'antd';
import { Link } from 'react-router';
import { useEditing } from '../site/editingContext';
import { MenuButton } from '../ui/MenuButton';
import { KeysButton } from './KeysButton';
import { SaveState } from './SaveState';
import { useReverse } from './shortcuts';
import './TopBar.css';

/** What can be taken away. */
const FILES = [
  { file: 'site.css', label: 'Stylesheet (site.css)' },
  { file: 'pages.zip', label: 'Pages, fonts and pictures (zip)' },
  { file: 'site-file.zip', label: 'The site file, to open or build elsewhere (zip)' },
];

/** Site, undo and redo, save state, release. */
export function TopBar({ onFind }: { onFind: () => void }) {
  const site = useEditing((e) => e.site);
  const history = useEditing((e) => e.history);
  const reverse = useReverse();
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
      <SaveState />
      <span className="spring" />
      <KeysButton />
      <button type="button" className="bar-button" onClick={onFind}>
        Find <kbd>/</kbd>
      </button>
      <MenuButton
        className="release"
        menu={{
          items: FILES.map(({ file, label }) => ({ key: file, label })),
          // By key as by pointer: a link within an item would hear of the pointer alone.
          onClick: ({ key }) => download(`/api/sites/${site.slug}/release/${key}`),
        }}
      >
        Release
      </MenuButton>
    </header>
  );
}

function download(address: string): void {
  const link = document.createElement('a');
  link.href = address;
  link.download = '';
  link.click();
}

function ReverseButton({ way, label, onClick }: { way: 'undo' | 'redo'; label: string | null; onClick: () => void }) {
  const name = way === 'undo' ? 'Undo' : 'Redo';
  return (
    <Tooltip title={label === null ? `Nothing to ${way}` : `${name}: ${label}`} trigger={['hover', 'focus']}>
      <button
        type="button"
        className="icon-button"
        aria-label={label === null ? name : `${name}: ${label}`}
        // It keeps the focus when there is nothing more to do.
        aria-disabled={label === null}
        onClick={() => {
          if (label !== null) onClick();
        }}
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
