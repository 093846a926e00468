import { memo, useEffect, useRef, useState, type FocusEvent, type KeyboardEvent } from 'react';
import type { LookView, PartView, PropertyView, State } from '../api/client';
import { differs, remarksOf, shownProperties, STATE_NAMES, type Widths } from './cells';
import { LedgerCell } from './LedgerCell';
import { Remarks } from './Remarks';
import { cellFrom } from './moves';
import './Ledger.css';

interface Props {
  part: PartView;
  look: LookView;
  widths: Widths;
  /** Id of a property whose row is to be gone to. */
  setting: string | null;
  onArrived?: () => void;
}

/** The narrowest a column can be, px: the words of a value and what it is in px stay legible. */
const COLUMN = { property: 118, rest: 132, state: 113, folded: 24 };

/** A look as a table: a row per property, a column per state. Rest stays in sight; states without differences are folded. It is one tab stop, with arrow keys within (ARIA grid). */
export function Ledger({ part, look, widths, setting, onArrived }: Props) {
  const [unfolded, setUnfolded] = useState<State[]>([]);
  // The cell that Tab comes to: the one that had the focus last.
  const [stop, setStop] = useState('');
  // The rows whose sides or corners stand below them.
  const [opened, setOpened] = useState<string[]>([]);
  const table = useRef<HTMLTableElement>(null);
  const focusNext = useRef('');
  const canFold = (state: State) => state !== 'rest' && !differs(look, state);
  const folded = part.states.filter((state) => canFold(state) && !unfolded.includes(state));
  const first = stopOf(part.properties[0]?.setting.id ?? '', 'rest');
  const [row, state] = stop.split('/');
  const isThere = row === HEAD ? canFold(state as State) : stop !== '' && !folded.includes(state as State);

  useEffect(() => {
    if (!setting) return;
    table.current?.querySelector<HTMLElement>(`tr[data-setting="${CSS.escape(setting)}"] button.cell`)?.focus();
    onArrived?.();
  }, [setting, onArrived]);
  useEffect(() => {
    if (focusNext.current === '') return;
    table.current?.querySelector<HTMLElement>(`[data-stop="${CSS.escape(focusNext.current)}"] button`)?.focus();
    focusNext.current = '';
  }, [unfolded]);

  const fold = (one: State) => {
    const isFolded = folded.includes(one);
    focusNext.current = isFolded ? stopOf(part.properties.find((p) => !p.sameInAllStates)?.setting.id ?? HEAD, one) : stopOf(HEAD, one);
    setUnfolded(isFolded ? [...unfolded, one] : unfolded.filter((u) => u !== one));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLTableElement>) => {
    const next = cellFrom(event.currentTarget, event.target as Element, event);
    if (!next) return;
    event.preventDefault();
    next.focus();
  };
  const onFocus = (event: FocusEvent) => {
    const at = event.target.closest<HTMLElement>('[data-stop]')?.dataset.stop;
    if (at !== undefined) setStop(at);
  };
  const open = part.states.length - 1 - folded.length;
  const width = COLUMN.property + COLUMN.rest + open * COLUMN.state + folded.length * COLUMN.folded;
  const properties = shownProperties(part, look);
  const groups = [...new Set(properties.map((p) => p.setting.group))];
  const toggle = (id: string) => setOpened(opened.includes(id) ? opened.filter((o) => o !== id) : [...opened, id]);
  const stopIn = (row: string) => {
    const at = isThere ? stop : first;
    return at.startsWith(`${row}/`) ? at : '';
  };

  return (
    <table
      className="ledger"
      role="grid"
      ref={table}
      style={{ minWidth: width }}
      onKeyDown={onKeyDown}
      onFocus={onFocus}
      aria-label={`${part.name} · ${look.name}`}
    >
      <colgroup>
        <col style={{ width: COLUMN.property }} />
        {part.states.map((one) => (
          <col key={one} style={{ width: folded.includes(one) ? COLUMN.folded : one === 'rest' && open > 0 ? COLUMN.rest : undefined }} />
        ))}
      </colgroup>
      <thead>
        <tr>
          <th scope="col">
            <span className="unseen">Property</span>
          </th>
          {part.states.map((one) => (
            <th
              key={one}
              scope="col"
              className={folded.includes(one) ? 'folded' : ''}
              data-stop={canFold(one) ? stopOf(HEAD, one) : undefined}
            >
              {canFold(one) ? (
                <button
                  type="button"
                  className="fold-button"
                  aria-expanded={!folded.includes(one)}
                  tabIndex={stop === stopOf(HEAD, one) ? 0 : -1}
                  title={
                    folded.includes(one) ? `${STATE_NAMES[one]}: as rest. Click to show.` : `${STATE_NAMES[one]}: as rest. Click to fold.`
                  }
                  onClick={() => fold(one)}
                >
                  <span aria-hidden="true">{folded.includes(one) ? `${STATE_NAMES[one].slice(0, 2)}›` : `${STATE_NAMES[one]} ‹`}</span>
                  <span className="unseen">{folded.includes(one) ? `Show ${STATE_NAMES[one]}` : `Fold ${STATE_NAMES[one]}`}</span>
                </button>
              ) : (
                STATE_NAMES[one]
              )}
            </th>
          ))}
        </tr>
      </thead>
      {groups.map((group) => (
        <tbody key={group}>
          <tr className="group-row">
            <th scope="rowgroup" colSpan={part.states.length + 1}>
              <span className="group-name">{group}</span>
            </th>
          </tr>
          {properties
            .filter((property) => property.setting.group === group)
            .flatMap((property) => {
              const { id } = property.setting;
              const isOpen = opened.includes(id);
              const row = (side?: number) => (
                <Row
                  key={rowOf(id, side)}
                  look={look}
                  property={property}
                  states={part.states}
                  widths={widths}
                  folded={folded.join()}
                  stop={stopIn(rowOf(id, side))}
                  isOpen={isOpen}
                  toggle={toggle}
                  {...(side !== undefined && { side })}
                />
              );
              return [row(), ...(isOpen ? (property.sides ?? []).map((_, side) => row(side)) : [])];
            })}
        </tbody>
      ))}
    </table>
  );
}

const HEAD = 'head';

const stopOf = (row: string, state: State) => `${row}/${state}`;

/** The row of a property, or of one of its sides or corners. */
const rowOf = (property: string, side?: number) => (side === undefined ? property : `${property} ${side}`);

interface RowProps {
  look: LookView;
  property: PropertyView;
  states: readonly State[];
  widths: Widths;
  /** The states that are folded, with commas between. */
  folded: string;
  /** The cell of this row that Tab comes to; empty where it is in another. */
  stop: string;
  /** The one side or corner it is for, from 0; undefined for all. */
  side?: number;
  /** Whether its sides or corners stand below it. */
  isOpen: boolean;
  toggle: (property: string) => void;
}

/** Drawn anew only where something of its own has changed: the focus moves from row to row all the time. */
const Row = memo(function Row({ look, property, states, widths, folded, stop, side, isOpen, toggle }: RowProps) {
  const { id, name } = property.setting;
  const hidden = folded.split(',');
  const row = rowOf(id, side);
  const idle = look.idle.find((i) => i.property === id)?.why;
  const differing = look.differing[id] ?? 0;
  const remarks = side === undefined ? remarksOf(look, property, states, widths) : [];
  return (
    <>
      <tr
        data-setting={side === undefined ? id : undefined}
        className={[side === undefined ? '' : 'side-row', idle ? 'idle' : ''].join(' ')}
      >
        <th scope="row" title={idle ? `${name}: ${idle}` : name}>
          {side === undefined && differing > 0 && (
            <span
              className="own-count"
              title={differing === 1 ? '1 block has a value of its own here' : `${differing} blocks have values of their own here`}
            >
              {differing}
              <span className="unseen">{differing === 1 ? ' own value of ' : ' own values of '}</span>
            </span>
          )}
          {side !== undefined ? (
            property.sides?.[side]
          ) : property.sides ? (
            <button
              type="button"
              className="sides-button"
              tabIndex={-1}
              aria-expanded={isOpen}
              aria-label={`${name}: each ${property.sides.length > 0 && property.sides[0]?.includes(' ') ? 'corner' : 'side'}`}
              onClick={() => toggle(id)}
            >
              {name} <span aria-hidden="true">{isOpen ? '▾' : '▸'}</span>
            </button>
          ) : (
            name
          )}
        </th>
        {states.map((state) => (
          <td key={state} className={hidden.includes(state) ? 'folded' : ''} data-stop={stopOf(row, state)}>
            {!hidden.includes(state) && (
              <LedgerCell
                look={look}
                property={property}
                state={state}
                widths={widths}
                isStop={stop === stopOf(row, state)}
                {...(side !== undefined && { side })}
              />
            )}
          </td>
        ))}
      </tr>
      {remarks.length > 0 && (
        <tr className="remarks">
          <th aria-hidden="true" />
          <td colSpan={states.length}>
            <Remarks look={look} property={property} widths={widths} remarks={remarks} />
          </td>
        </tr>
      )}
    </>
  );
});
