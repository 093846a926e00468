import { Button } from 'antd';
import { useState } from 'react';
import type { Schemas } from '../api/client';
import { usePairs } from '../site/figures';
import { partOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { PairSample, Ratio } from './PairSample';
import { useShowPlace } from './showPlace';
import { VeilOffer } from './VeilOffer';
import './TextsOver.css';

/** As many are listed at first: the worst. */
const FIRST = 6;

interface Props {
  /** Kind and id of the fill, with a slash between. */
  fill: string;
  name: string;
}

/** The texts that lie over a fill, on every page and at every width, the worst first: how each reads at its worst spot and on the whole. */
export function TextsOver({ fill, name }: Props) {
  const pairs = usePairs().data;
  const [isAll, setAll] = useState(false);
  if (!pairs) return null;
  const texts = pairs.rows.flatMap((row) => row.at).filter((at) => at.fills.includes(fill));
  const waiting = pairs.unmeasured > 0;
  if (texts.length === 0 && !waiting) return null;
  return (
    <section className="texts-over" aria-label={`Text over ${name}`}>
      <h3>
        On the stage <span className="quiet">text over this fill, at its worst spot and on the mean</span>
      </h3>
      {waiting && (
        <p className="quiet" role="status">
          {pairs.unmeasured === 1 ? '1 block' : `${pairs.unmeasured} blocks`} not measured yet
        </p>
      )}
      <ul>
        {texts.slice(0, isAll ? undefined : FIRST).map((at) => (
          <TextOver key={at.key} at={at} version={pairs.version} />
        ))}
      </ul>
      {texts.length > FIRST && (
        <Button size="small" aria-expanded={isAll} onClick={() => setAll(!isAll)}>
          {isAll ? 'Only the worst' : `All ${texts.length}`}
        </Button>
      )}
    </section>
  );
}

function TextOver({ at, version }: { at: Schemas['PairInUseView']; version: number }) {
  const showPlace = useShowPlace();
  const [isMending, setMending] = useState(false);
  const [worst] = at.places;
  const look = useEditing((e) => e.site.looks.find((l) => l.id === at.look)?.name ?? '');
  const part = useEditing((e) => partOf(e.catalogue, at.part)?.name ?? '');
  if (!worst?.spot) return null;
  const where = [`${worst.width}`, at.scheme, at.state === 'rest' ? '' : at.state, worst.dark ? 'prefers dark' : '']
    .filter((part) => part !== '')
    .join(' · ');
  return (
    <li>
      <button
        type="button"
        className="row-button text-over"
        title={`Show the worst spot: ${worst.pageName} · ${at.where} · ${where}`}
        onClick={() => showPlace(worst, at.state)}
      >
        <PairSample kind={at.kind} foreground={at.foreground} ground={worst.spot.ground} />
        <span className="text-over-name">
          {worst.pageName} · {part === look ? part : `${part} ${look}`} <span className="quiet">{where}</span>
        </span>
        <span className="quiet" title="On the mean">
          {worst.spot.mean.toFixed(1)}
        </span>
        <Ratio {...at} />
      </button>
      {!at.passes && (
        <Button
          size="small"
          aria-expanded={isMending}
          aria-label={`Mend ${at.where} on ${worst.pageName}`}
          onClick={() => setMending(!isMending)}
        >
          Mend
        </Button>
      )}
      {isMending && <VeilOffer pair={at.key} version={version} onDone={() => setMending(false)} />}
    </li>
  );
}
