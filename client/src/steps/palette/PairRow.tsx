import { Button } from 'antd';
import { Fragment, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { PairSample, Ratio } from '../../readings/PairSample';
import { useShowPlace } from '../../readings/showPlace';
import { VeilOffer } from '../../readings/VeilOffer';
import { useEditing } from '../../site/editingContext';
import { Shortened } from '../../ui/Shortened';
import { Mends } from './Mends';
import { PlaceButtons } from './PlaceButtons';

type Row = Schemas['PairRowView'];
type InUse = Schemas['PairInUseView'];

/** Two colours that meet; opened, where they do. */
export function PairRow({ row, version }: { row: Row; version: number }) {
  const [open, setOpen] = useState(false);
  const places = row.places === 1 ? '1 place' : `${row.places} places`;
  return (
    <li>
      <button type="button" className="row-button pair-row" aria-expanded={open} onClick={() => setOpen(!open)}>
        <PairSample {...row} />
        <span className="pair-name" title={row.name}>
          <Shortened text={row.name} end={row.name.length - row.name.lastIndexOf(' · ')} />
        </span>
        <span className="quiet" title={row.states.join(', ')}>
          {row.schemes.join(', ')}
        </span>
        <span className="quiet">{places}</span>
        <Ratio {...row} />
      </button>
      {open && (
        <ul className="pair-places" aria-label={`Where ${row.name} is met`}>
          {row.at.map((at) => (
            <PairInUse key={at.key} at={at} version={version} />
          ))}
        </ul>
      )}
    </li>
  );
}

/** The address of a line of the overrides. */
function withLine(params: URLSearchParams, line: number): string {
  const there = new URLSearchParams(params);
  there.set('line', String(line));
  return there.toString();
}

/** A pair in a cell of a look, its places on the pages, and its mends. */
function PairInUse({ at, version }: { at: InUse; version: number }) {
  const slug = useEditing((e) => e.site.slug);
  const showPlace = useShowPlace();
  const [params] = useSearchParams();
  const [mending, setMending] = useState(false);
  const there = new URLSearchParams(params);
  there.set('part', at.part);
  there.set('look', at.look);
  there.set('setting', at.property);
  const [worst] = at.places;
  const isMeasured = !!worst?.spot;
  return (
    <li>
      <span className="pair-where">
        <Link title={at.where} to={{ pathname: `/sites/${slug}/parts`, search: there.toString() }}>
          {at.where}
        </Link>{' '}
        <span className="quiet">
          {at.scheme}
          {worst?.spot && ` · on the mean ${worst.spot.mean.toFixed(2)}`}
        </span>
        {at.lines.map((line) => (
          <Fragment key={line}>
            {' · '}
            <Link title="What you wrote there decides it" to={{ pathname: `/sites/${slug}/overrides`, search: withLine(params, line) }}>
              overrides, line {line}
            </Link>
          </Fragment>
        ))}
      </span>
      <Ratio {...at} />
      {!at.passes && (
        <Button size="small" aria-expanded={mending} aria-label={`Mend ${at.where}`} onClick={() => setMending(!mending)}>
          Mend
        </Button>
      )}
      <PlaceButtons what={at.where} places={at.places} onShow={(place) => showPlace(place, at.state)} />
      {mending && isMeasured && <VeilOffer pair={at.key} version={version} onDone={() => setMending(false)} />}
      {mending && !isMeasured && <Mends pair={at} version={version} onDone={() => setMending(false)} />}
    </li>
  );
}
