import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import type { ThingView } from '../api/client';
import { useSetAddress } from '../site/address';
import { kindOf, thingsOf } from '../site/catalogue';
import { useFocusNext } from '../site/useFocusNext';
import { useEditing } from '../site/editingContext';
import { Shortened } from '../ui/Shortened';
import { usesText, withArticle } from '../ui/words';
import { BelowList } from './BelowList';
import './ThingsPanel.css';

/** Stands in the address for a thing that is being added. */
const NEW = 'new';

/**
 * The things of a kind, and below them the editor of the chosen one: made from what the catalogue says of the kind.
 * @param kind its code
 */
export function ThingsPanel({ kind: code }: { kind: string }) {
  const kind = useEditing((e) => kindOf(e.catalogue, code));
  const things = useEditing((e) => thingsOf(e.site, code));
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const choose = (id: string) => setAddress({ [code]: id });
  const adding = params.get(code) === NEW;
  const chosen = adding ? undefined : (things.find((t) => t.id === params.get(code)) ?? things[0]);
  const row = useRef<HTMLButtonElement>(null);
  const chosenId = chosen?.id;
  // Chosen elsewhere, or added far down a long list, it comes into sight.
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosenId]);
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? NEW : chosenId);
  if (!kind) return null;
  return (
    <div ref={panel} className="panel-column">
      <div className="rows-above-editor">
        {things.length === 0 && <p className="empty">There is no {kind.name} yet.</p>}
        <ul className="chosen-list" aria-label={`Every ${kind.name}`}>
          {things.map((thing) => (
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
                <span className="quiet summary">{summary(thing, kind.items?.name)}</span>
                <span className="uses" title={thing.uses.join('\n')}>
                  {usesText(thing.uses)}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </div>
      <div className="below-rows">
        <Button size="small" onClick={() => choose(NEW)} disabled={adding}>
          Add {withArticle(kind.name)}
        </Button>
      </div>
      <BelowList kind={kind} chosen={chosen} things={things} adding={adding} choose={choose} focusNext={focusNext} />
    </div>
  );
}

/** What a thing is made of, in a line. */
function summary({ fields, items }: ThingView, item: string | undefined): string {
  const count = items && (items.length === 1 ? `1 ${item}` : `${items.length} ${item}s`);
  return [...fields.map((f) => f.text), ...(count ? [count] : [])].join(' · ');
}
