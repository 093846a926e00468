import type { Schemas } from '../api/client';
import './readings.css';

/** A picture of a pair: the very thing that may not be readable. */
export function PairSample({ kind, foreground, ground }: Pick<Schemas['PairRowView'], 'kind' | 'foreground' | 'ground'>) {
  return (
    <svg className="pair-sample" viewBox="0 0 34 24" aria-hidden="true" style={{ background: ground }}>
      {kind === 'line' || kind === 'focusRing' ? (
        <path d="M8 12h18" stroke={foreground} strokeWidth="2" />
      ) : (
        <text x="17" y="17" textAnchor="middle" fill={foreground}>
          Aa
        </text>
      )}
    </svg>
  );
}

/** A contrast, and whether it is enough. */
export function Ratio({ ratio, target, passes }: Pick<Schemas['PairRowView'], 'ratio' | 'target' | 'passes'>) {
  return (
    <span className={target === 0 ? 'ratio quiet' : passes ? 'ratio pass' : 'ratio fail'}>
      {target > 0 && (passes ? '✓ ' : '✗ ')}
      {ratio.toFixed(2)}
      {!passes && ` needs ${target}`}
    </span>
  );
}
