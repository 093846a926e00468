import { useEffect, useRef, useState, type KeyboardEvent } from 'react';
import type { LookView, PartView, PropertyView, State } from '../api/client';
import { differs, STATE_NAMES, type Widths } from './cells';
import { LedgerCell } from './LedgerCell';
import './Ledger.css';

interface Props {
  part: PartView;
  look: LookView;
  widths: Widths;
  /** Id of a property whose row is to be gone to. */
  setting: string | null;
}

/** A look as a table: a row per property, a column per state. Rest stays; states without differences are folded. */
export function Ledger({ part, look, widths, setting }: Props) {
  const [unfolded, setUnfolded] = useState<State[]>([]);
  const table = useRef<HTMLTableElement>(null);
  const isFolded = (state: State) => state !== 'rest' && !differs(look, state) && !unfolded.includes(state);
  useEffect(() => {
    if (setting) table.current?.querySelector<HTMLElement>(`tr[data-setting="${CSS.escape(setting)}"] button.cell`)?.focus();
  }, [setting]);
  const groups = [...new Set(part.properties.map((p) => p.group))];

  /** Arrow keys lead from cell to cell, as in any table of values. */
  const onKeyDown = (event: KeyboardEvent) => {
    const here = (event.target as Element).closest<HTMLElement>('button.cell');
    if (!here || !table.current) return;
    const rows = [...table.current.querySelectorAll('tr')]
      .map((row) => [...row.querySelectorAll<HTMLElement>('button.cell')])
      .filter((row) => row.length > 0);
    const y = rows.findIndex((row) => row.includes(here));
    const x = rows[y]?.indexOf(here) ?? 0;
    const target = {
      ArrowDown: rows[y + 1]?.[Math.min(x, (rows[y + 1]?.length ?? 1) - 1)],
      ArrowUp: rows[y - 1]?.[Math.min(x, (rows[y - 1]?.length ?? 1) - 1)],
      ArrowRight: rows[y]?.[x + 1],
      ArrowLeft: rows[y]?.[x - 1],
    }[event.key];
    if (!target) return;
    event.preventDefault();
    target.focus();
  };

  return (
    // The keys only lead between the buttons inside.
    // eslint-disable-next-line jsx-a11y/no-noninteractive-element-interactions
    <table className="ledger" ref={table} onKeyDown={onKeyDown} aria-label={`${part.name} · ${look.name}`}>
      <colgroup>
        <col className="property-column" />
        {part.states.map((state) => (
          <col key={state} className={isFolded(state) ? 'folded-column' : state === 'rest' ? 'rest-column' : ''} />
        ))}
      </colgroup>
      <thead>
        <tr>
          <th scope="col">
            <span className="unseen">Property</span>
          </th>
          {part.states.map((state) => (
            <th key={state} scope="col" className={isFolded(state) ? 'folded' : ''}>
              {isFolded(state) ? (
                <button
                  type="button"
                  className="unfold"
                  title={`${STATE_NAMES[state]}: as rest. Click to show.`}
                  onClick={() => setUnfolded([...unfolded, state])}
                >
                  <span aria-hidden="true">{STATE_NAMES[state].slice(0, 2)}›</span>
                  <span className="unseen">Show {STATE_NAMES[state]}</span>
                </button>
              ) : (
                STATE_NAMES[state]
              )}
            </th>
          ))}
        </tr>
      </thead>
      {groups.map((group) => (
        <tbody key={group}>
          <tr className="group-row">
            <th scope="rowgroup" colSpan={part.states.length + 1}>
              {group}
            </th>
          </tr>
          {part.properties
            .filter((property) => property.group === group)
            .map((property) => (
              <Row key={property.setting.id} part={part} look={look} property={property} widths={widths} isFolded={isFolded} />
            ))}
        </tbody>
      ))}
    </table>
  );
}

interface RowProps {
  part: PartView;
  look: LookView;
  property: PropertyView;
  widths: Widths;
  isFolded: (state: State) => boolean;
}

function Row({ part, look, property, widths, isFolded }: RowProps) {
  return (
    <tr data-setting={property.setting.id}>
      <th scope="row" title={property.setting.name}>
        {property.setting.name}
      </th>
      {part.states.map((state) => (
        <td key={state} className={isFolded(state) ? 'folded' : ''}>
          {!isFolded(state) && <LedgerCell look={look} property={property} state={state} widths={widths} />}
        </td>
      ))}
    </tr>
  );
}
