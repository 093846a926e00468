import { Segmented, Select } from 'antd';
import { useSearchParams } from 'react-router';
import type { PartView } from '../../api/client';
import { useEditing } from '../../app/editingContext';
import { ALL_WIDTHS, WIDTH_CHOICES } from '../../ledger/cells';
import { Ledger } from '../../ledger/Ledger';
import { useSetAddress } from '../../app/address';

/** A part's looks in the ledger. */
export function PartsStep() {
  const parts = useEditing((e) => e.site.parts);
  const [params] = useSearchParams();
  const choose = useSetAddress();
  const part = parts.find((p) => p.id === params.get('part')) ?? richest(parts);
  const look = part?.looks.find((l) => l.id === params.get('look')) ?? part?.looks[0];
  const choice = WIDTH_CHOICES.find((c) => c.value === params.get('at')) ?? WIDTH_CHOICES[0];

  if (!part || !look) return <p className="empty">There is nothing to style yet.</p>;
  return (
    <section className="step-panel" aria-label="Parts">
      <div className="bar">
        <h1 className="unseen">Parts</h1>
        <Select
          aria-label="Part"
          className="part-choice"
          value={part.id}
          options={parts.map((p) => ({ value: p.id, label: p.name }))}
          onChange={(id: string) => choose({ part: id, look: '' })}
          popupMatchSelectWidth={180}
          title={`selector ${part.hook}`}
        />
        {part.looks.length > 1 && (
          <Segmented
            aria-label="Look"
            value={look.id}
            options={part.looks.map((l) => ({ value: l.id, label: l.name, title: `selector ${l.selector}` }))}
            onChange={(id) => choose({ look: String(id) })}
          />
        )}
        <span className="spring" />
        <Select
          aria-label="Widths the values hold at"
          className="width-choice"
          value={choice?.value ?? 'all'}
          options={WIDTH_CHOICES.map(({ value, label }) => ({ value, label }))}
          onChange={(at: string) => choose({ at })}
        />
      </div>
      <div className="subhead">
        <span>
          {part.blocks} on {part.pages === 1 ? '1 page' : `${part.pages} pages`}
        </span>
        <code className="quiet" title="selector">
          {look.selector}
        </code>
      </div>
      <div className="ledger-room">
        <Ledger key={look.id} part={part} look={look} widths={choice?.widths ?? ALL_WIDTHS} setting={params.get('setting')} />
      </div>
    </section>
  );
}

/** Where to begin: the part with the most to decide. */
const richest = (parts: readonly PartView[]): PartView | undefined =>
  [...parts].sort((a, b) => b.states.length * b.looks.length - a.states.length * a.looks.length)[0];
