import { Button, Checkbox, Input } from 'antd';
import { Fragment, useEffect, useRef, useState, type ReactNode } from 'react';
import { useSearchParams } from 'react-router';
import type { ThingView } from '../api/client';
import { useSetAddress } from '../site/address';
import { kindOf, thingsOf } from '../site/catalogue';
import { useFocusNext } from '../site/useFocusNext';
import { useEditing } from '../site/editingContext';
import { groupBy } from '../ui/groupBy';
import { Shortened } from '../ui/Shortened';
import { usesText, withArticle } from '../ui/words';
import { onEscape } from '../ui/keys';
import { BelowList } from './BelowList';
import './ThingsPanel.css';

/** Stands in the address for a thing that is being added. */
const NEW = 'new';

/** From so many on there is something to look for among them. */
const MANY = 6;

interface Props {
  /** Its code. */
  kind: string;
  /** What is shown of each in its row, in place of what it is made of. */
  row?: (thing: ThingView) => ReactNode;
  /** What is shown of the chosen one, above its settings. */
  drawn?: (thing: ThingView) => ReactNode;
  /** What stands above the list. */
  above?: ReactNode;
  /** The heading each is listed under; things of no group come first. */
  group?: (thing: ThingView) => string;
  /** Whether what is drawn shows the items, too. */
  drawsItems?: boolean;
  /** What adds one of a kind that comes with something else, such as a file. */
  adds?: ReactNode;
}

/** What is said of a thing that is in no group. */
const NO_GROUP = 'no group';

/** The things of a kind, and below them the editor of the chosen one: made from what the catalogue says of the kind. */
export function ThingsPanel({ kind: code, row: inRow, drawn, above, group, drawsItems = false, adds }: Props) {
  const kind = useEditing((e) => kindOf(e.catalogue, code));
  const things = useEditing((e) => thingsOf(e.site, code));
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const choose = (id: string) => setAddress({ [code]: id });
  const adding = kind?.comesWith === null && params.get(code) === NEW;
  const chosen = adding ? undefined : (things.find((t) => t.id === params.get(code)) ?? things[0]);
  const row = useRef<HTMLButtonElement>(null);
  const chosenId = chosen?.id;
  // Chosen elsewhere, or added far down a long list, it comes into sight.
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosenId]);
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? NEW : chosenId);
  const [wanted, setWanted] = useState('');
  const [unused, setUnused] = useState(false);
  if (!kind) return null;
  const words = wanted.trim().toLowerCase();
  const shown = things.filter((t) => t.name.toLowerCase().includes(words) && !(unused && t.uses.length > 0));
  return (
    <div ref={panel} className="panel-column">
      {above}
      {(things.length >= MANY || words !== '' || unused) && (
        <div className="things-filter">
          <Input
            size="small"
            type="search"
            aria-label={`Search among every ${kind.name}`}
            placeholder="search"
            value={wanted}
            allowClear
            onChange={(event) => setWanted(event.target.value)}
            onKeyDown={onEscape(() => setWanted(''))}
          />
          <Checkbox checked={unused} onChange={(event) => setUnused(event.target.checked)}>
            unused
          </Checkbox>
          <span className="quiet">{shown.length === things.length ? things.length : `${shown.length} of ${things.length}`}</span>
        </div>
      )}
      <div className="rows-above-editor">
        {things.length === 0 && <p className="empty">There is no {kind.name} yet.</p>}
        {things.length > 0 && shown.length === 0 && <p className="empty">None of these is called so{unused ? ' and unused' : ''}.</p>}
        {grouped(shown, group).map(([heading, members]) => (
          <Fragment key={heading}>
            {heading !== NO_GROUP && <h2 className="things-group">{heading}</h2>}
            <ul className="chosen-list" aria-label={heading === NO_GROUP ? `Every ${kind.name}` : `Every ${kind.name} of ${heading}`}>
              {members.map((thing) => (
                <li key={thing.id}>
                  <button
                    type="button"
                    ref={thing.id === chosenId ? row : null}
                    className="row-button thing-row"
                    aria-pressed={thing.id === chosen?.id}
                    onClick={() => choose(thing.id)}
                  >
                    <strong title={thing.name}>
                      <Shortened text={thing.name} />
                    </strong>
                    <span className="quiet summary">{inRow ? inRow(thing) : summary(thing, kind.items?.name)}</span>
                    <span className="uses" title={thing.uses.join('\n')}>
                      {usesText(thing.uses)}
                    </span>
                  </button>
                </li>
              ))}
            </ul>
          </Fragment>
        ))}
      </div>
      {kind.comesWith === null ? (
        <div className="below-rows">
          <Button size="small" onClick={() => choose(NEW)} disabled={adding}>
            Add {withArticle(kind.name)}
          </Button>
        </div>
      ) : (
        <div className="below-rows">{adds}</div>
      )}
      <BelowList
        kind={kind}
        chosen={chosen}
        things={things}
        adding={adding}
        choose={choose}
        focusNext={focusNext}
        drawn={drawn}
        drawsItems={drawsItems}
      />
    </div>
  );
}

/** Things under their headings; all under none where there are no groups. */
function grouped(things: readonly ThingView[], group: ((thing: ThingView) => string) | undefined): [string, ThingView[]][] {
  const groups = [...groupBy(things, (thing) => group?.(thing) ?? NO_GROUP)].map(([heading, members]): [string, ThingView[]] => [
    heading,
    [...members],
  ]);
  return groups.sort(([a], [b]) => Number(b === NO_GROUP) - Number(a === NO_GROUP));
}

/** What a thing is made of, in a line. */
function summary({ fields, items }: ThingView, item: string | undefined): string {
  const count = items && (items.length === 1 ? `1 ${item}` : `${items.length} ${item}s`);
  return [...fields.map((f) => f.text), ...(count ? [count] : [])].join(' · ');
}
