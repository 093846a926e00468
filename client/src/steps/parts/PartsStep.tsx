import { Segmented, Select } from 'antd';
import { useCallback } from 'react';
import { useSearchParams } from 'react-router';
import type { PartView } from '../../api/client';
import { looksOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { ALL_WIDTHS, WIDTH_CHOICES } from '../../ledger/cells';
import { Ledger } from '../../ledger/Ledger';
import { useChangeAddress, useSetAddress } from '../../site/address';
import { readView, widthWithin, writeView } from '../../stage/view';
import './PartsStep.css';

/** A part's looks in the ledger. */
export default function PartsStep() {
  const parts = useEditing((e) => e.catalogue.parts);
  const site = useEditing((e) => e.site);
  const [params] = useSearchParams();
  const changeAddress = useChangeAddress();
  const choose = useSetAddress();
  const onArrived = useCallback(() => choose({ setting: '' }), [choose]);
  // Values of one interval are set looking at a stage within it.
  const chooseWidths = (at: string) => {
    const { widths } = WIDTH_CHOICES.find((c) => c.value === at) ?? { widths: ALL_WIDTHS };
    changeAddress((before) => {
      const next = writeView(before, { width: widthWithin(widths.from, widths.below, readView(before).width) });
      next.set('at', at);
      return next;
    });
  };
  const part = parts.find((p) => p.id === params.get('part')) ?? richest(parts);
  const looks = looksOf(site, part?.id ?? '');
  const look = looks.find((l) => l.id === params.get('look')) ?? looks[0];
  const uses = site.parts.find((p) => p.id === part?.id);
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
        {looks.length > 1 && (
          <Segmented
            aria-label="Look"
            value={look.id}
            options={looks.map((l) => ({ value: l.id, label: l.name, title: `selector ${l.selector}` }))}
            onChange={(id) => choose({ look: id })}
          />
        )}
        <span className="spring" />
        <Select
          aria-label="Widths the values hold at"
          className="width-choice"
          value={choice?.value ?? 'all'}
          options={WIDTH_CHOICES.map(({ value, label }) => ({ value, label }))}
          onChange={chooseWidths}
        />
      </div>
      <div className="subhead">
        <span>
          {uses?.blocks ?? 0} on {uses?.pages === 1 ? '1 page' : `${uses?.pages ?? 0} pages`}
        </span>
        <code className="quiet" title="selector">
          {look.selector}
        </code>
      </div>
      <div className="ledger-room">
        <Ledger
          key={look.id}
          part={part}
          look={look}
          widths={choice?.widths ?? ALL_WIDTHS}
          setting={params.get('setting')}
          onArrived={onArrived}
        />
      </div>
    </section>
  );
}

/** Where to begin: the part with the most to decide. */
const richest = (parts: readonly PartView[]): PartView | undefined => [...parts].sort((a, b) => weight(b) - weight(a))[0];

const weight = (part: PartView): number => part.states.length * (part.hasLooks ? 3 : 1);
