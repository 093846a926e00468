import { reachText, usePairs, useReach, useTypeFigures } from '../site/figures';
import type { Schemas } from '../api/client';
import { useEditing } from '../site/editingContext';
import './StatusLine.css';

/** The text that reads worst, the last edit, and what the stylesheet weighs. */
export function StatusLine() {
  const last = useEditing((e) => e.history.last);
  const bytes = useEditing((e) => e.site.figures.stylesheetBytes);
  const pairs = usePairs().data;
  const reach = useReach();
  const type = useTypeFigures().data;
  return (
    <footer className="status-line">
      {pairs?.lowest && (
        <span className="lowest" title={pairs.lowest.where}>
          Lowest text contrast{' '}
          <strong className={pairs.lowest.passes ? 'pass' : 'fail'}>
            {pairs.lowest.ratio.toFixed(2)} : 1 {pairs.lowest.passes ? 'meets AA' : `needs ${pairs.lowest.target}`}
          </strong>
        </span>
      )}
      {type && (
        <span title={typeText(type)}>
          Type{' '}
          <strong className={type.concerns === 0 ? 'pass' : 'fail'}>
            {type.concerns === 0 ? 'no notes' : type.concerns === 1 ? '1 note' : `${type.concerns} notes`}
          </strong>
        </span>
      )}
      <span className="last-edit">
        {last ? (
          <>
            Last edit <strong title={last}>{last}</strong>
            {reach && <> reaches {reachText(reach)}</>}
            {pairs && pairsText(pairs)}
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

/** What is to be said of the text styles, a line each. */
const typeText = ({ styles }: Schemas['TypeFiguresView']) => styles.flatMap((s) => s.findings.map((f) => f.says)).join('\n');

/** What the last edit did to pairs of colours. */
function pairsText({ broken, mended }: { broken: readonly string[]; mended: readonly string[] }) {
  const said = (what: string, names: readonly string[]) => `${what} ${names.length === 1 ? names[0] : `${names.length} pairs`}`;
  return (
    <>
      {broken.length > 0 && (
        <strong className="fail" title={broken.join('\n')}>
          {' '}
          · {said('breaks', broken)}
        </strong>
      )}
      {mended.length > 0 && (
        <strong className="pass" title={mended.join('\n')}>
          {' '}
          · {said('mends', mended)}
        </strong>
      )}
    </>
  );
}
