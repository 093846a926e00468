import { Segmented, Skeleton } from 'antd';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { usePairs } from '../../site/figures';
import { useEditing } from '../../site/editingContext';
import { Shortened } from '../../ui/Shortened';
import { QueryError } from '../../ui/QueryError';
import './PairsPanel.css';

type Pair = Schemas['PairInUseView'];

const KIND_NAMES: Record<Pair['kind'], string> = { text: 'text', largeText: 'large text', line: 'line', focusRing: 'focus ring' };

/** Which colours meet on the pages, and how they read: failures first. */
export function PairsPanel() {
  const pairs = usePairs();
  const [only, setOnly] = useState('all');
  if (pairs.isError) return <QueryError title="The pairs cannot be computed" query={pairs} />;
  if (!pairs.data) return <Skeleton active={false} className="waiting" />;
  const failing = pairs.data.pairs.filter((p) => !p.passes);
  const shown = only === 'failing' ? failing : pairs.data.pairs;
  return (
    <>
      <div className="subhead">
        <Segmented
          size="small"
          aria-label="Which pairs"
          value={only}
          options={[
            { value: 'all', label: `All ${pairs.data.pairs.length}` },
            { value: 'failing', label: `Failing ${failing.length}` },
          ]}
          onChange={setOnly}
        />
        <span className="quiet">{pairs.data.overridesNotCounted ? 'WCAG 2.2 · overrides not counted' : 'WCAG 2.2'}</span>
      </div>
      {shown.length === 0 && (
        <p className="empty">{only === 'failing' ? 'Every pair reaches what it must.' : 'No colours meet on these pages yet.'}</p>
      )}
      <div className="pair-rows">
        <table className="values pairs-in-use" aria-label="Pairs in use">
          <thead>
            <tr>
              <th scope="col">Pair</th>
              <th scope="col">Where</th>
              <th scope="col">In</th>
              <th scope="col">Contrast</th>
            </tr>
          </thead>
          <tbody>
            {shown.map((pair) => (
              <PairRow key={`${pair.look} ${pair.property} ${pair.state} ${pair.scheme} ${pair.foreground} ${pair.ground}`} pair={pair} />
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}

function PairRow({ pair }: { pair: Pair }) {
  const slug = useEditing((e) => e.site.slug);
  const [params] = useSearchParams();
  const there = new URLSearchParams(params);
  there.set('part', pair.part);
  there.set('look', pair.look);
  there.set('setting', pair.property);
  return (
    <tr>
      <td>
        {/* A picture of the pair: the very thing that may not be readable. */}
        <svg className="pair-sample" viewBox="0 0 34 24" aria-hidden="true" style={{ background: pair.ground }}>
          {pair.kind === 'line' || pair.kind === 'focusRing' ? (
            <path d="M8 12h18" stroke={pair.foreground} strokeWidth="2" />
          ) : (
            <text x="17" y="17" textAnchor="middle" fill={pair.foreground}>
              Aa
            </text>
          )}
        </svg>
        <code title={`${pair.foreground} on ${pair.ground}`}>{pair.foreground}</code>
      </td>
      <td>
        <Link title={pair.where} to={{ pathname: `/sites/${slug}/parts`, search: there.toString() }}>
          <Shortened text={pair.where} end={endOf(pair.where)} />
        </Link>
      </td>
      <td className="quiet" title={`${KIND_NAMES[pair.kind]} on ${pair.pages.join(', ')}`}>
        {pair.scheme} · {KIND_NAMES[pair.kind]}
      </td>
      <td className={pair.target === 0 ? 'quiet' : pair.passes ? 'pass' : 'fail'}>
        {pair.target > 0 && (pair.passes ? '✓ ' : '✗ ')}
        {pair.ratio.toFixed(2)}
        {!pair.passes && ` needs ${pair.target}`}
      </td>
    </tr>
  );
}

/** How much of the end of a place is always shown: what it lies on, where that is said. */
function endOf(where: string): number {
  const on = where.lastIndexOf(', on ');
  return on < 0 ? 14 : where.length - on - 2;
}
