import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { usePairs } from '../../site/figures';
import { QueryError } from '../../ui/QueryError';
import { CollapsingPairs } from './CollapsingPairs';
import { MendAll } from './MendAll';
import { PairMatrix } from './PairMatrix';
import { PairRow } from './PairRow';
import { Waiting } from '../../ui/Waiting';
import './PairsPanel.css';

/** Which colours meet on the pages, and how they read: the worst first, each with its places and the ways to mend it. */
export function PairsPanel() {
  const pairs = usePairs();
  const [shown, setShown] = useState('all');
  const [mending, setMending] = useState(false);
  if (pairs.isError) return <QueryError title="The pairs cannot be computed" query={pairs} />;
  if (!pairs.data) return <Waiting />;
  const { rows, version, unmeasured, untold } = pairs.data;
  const failing = rows.filter((p) => !p.passes);
  const listed = shown === 'failing' ? failing : rows;
  return (
    <div className="panel-column">
      <div className="subhead">
        <Segmented
          size="small"
          aria-label="Which pairs"
          value={shown}
          options={[
            { value: 'all', label: `All ${rows.length}` },
            { value: 'failing', label: `Failing ${failing.length}` },
            { value: 'matrix', label: 'Matrix' },
            { value: 'vision', label: 'Vision' },
          ]}
          onChange={setShown}
        />
        <span className="quiet">WCAG 2.2</span>
        {unmeasured > 0 && (
          <span
            className="quiet"
            title="Text over gradients and pictures: how it reads is measured page by page while nothing else is done"
          >
            {unmeasured === 1 ? '1 block' : `${unmeasured} blocks`} over fills not measured yet
          </span>
        )}
        {untold.length > 0 && (
          <span className="quiet" title={untold.map((t) => `${t.name} on ${t.place.pageName}: ${t.why}`).join('\n')}>
            {untold.length === 1 ? '1 text' : `${untold.length} texts`} cannot be told
          </span>
        )}
        <Button size="small" disabled={failing.length === 0 || mending} onClick={() => setMending(true)}>
          Mend all
        </Button>
      </div>
      {mending && <MendAll key={version} onClose={() => setMending(false)} />}
      {listed.length === 0 && (
        <p className="empty">{shown === 'failing' ? 'Every pair reaches what it must.' : 'No colours meet on these pages yet.'}</p>
      )}
      {shown === 'vision' ? (
        <CollapsingPairs />
      ) : shown === 'matrix' ? (
        <PairMatrix rows={rows} />
      ) : (
        <ul className="pair-rows" aria-label="Pairs in use">
          {listed.map((row) => (
            <PairRow key={`${row.name} ${row.foreground} ${row.ground} ${row.target}`} row={row} version={version} />
          ))}
        </ul>
      )}
    </div>
  );
}
