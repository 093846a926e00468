import { usePairs, useReach } from '../site/figures';
import { useEditing } from '../site/editingContext';
import './StatusLine.css';

/** The text that reads worst, the last edit, and what the stylesheet weighs. */
export function StatusLine() {
  const last = useEditing((e) => e.history.last);
  const bytes = useEditing((e) => e.site.figures.stylesheetBytes);
  const pairs = usePairs().data;
  const reach = useReach();
  return (
    <footer className="status-line">
      {pairs?.lowest && (
        <span className="lowest" title={pairs.lowest.where}>
          Lowest text contrast{' '}
          <strong className={pairs.lowest.passes ? 'pass' : 'fail'}>
            {pairs.lowest.ratio.toFixed(2)} : 1 {pairs.lowest.passes ? 'meets AA' : `needs ${pairs.lowest.target}`}
          </strong>
          {pairs.overridesNotCounted && ' · overrides not counted'}
        </span>
      )}
      <span className="last-edit">
        {last ? (
          <>
            Last edit <strong title={last}>{last}</strong>
            {reach && <> reaches {reachText(reach)}</>}
          </>
        ) : (
          'No edits yet'
        )}
      </span>
      <span className="spring" />
      <span>
        Stylesheet <strong>{(bytes / 1000).toFixed(1)} kB</strong>
      </span>
    </footer>
  );
}

function reachText({ pages, elements, isWhole }: { pages: number; elements: number; isWhole: boolean }): string {
  if (elements === 0) return isWhole ? 'nothing on the pages' : 'nothing of what was looked up';
  return `${isWhole ? '' : 'at least '}${pages === 1 ? '1 page' : `${pages} pages`}, ${elements === 1 ? '1 element' : `${elements} elements`}`;
}
