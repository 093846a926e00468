import type { LookView, PropertyView, State } from '../api/client';
import { ALL_WIDTHS, cellEdit, findCell, inherited, STATE_NAMES, variesByWidth, type Widths } from './cells';
import { namesIn } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { ValueCell } from '../values/ValueCell';

interface Props {
  look: LookView;
  property: PropertyView;
  state: State;
  widths: Widths;
  /** Whether Tab comes to this cell. */
  isStop: boolean;
  /** The one side or corner it is for, from 0; undefined for all. */
  side?: number;
  /** What it is called where the table does not say it. */
  called?: string;
}

/** A value of a look for a property in a state. */
export function LedgerCell({ look, property, state, widths, isStop, side, called }: Props) {
  const names = useEditing((e) => e.site.names);
  if (property.sameInAllStates && state !== 'rest') return <span className="inherited same">same in all</span>;
  const { id, name } = property.setting;
  const cell = findCell(look, id, state, widths);
  const edit = (text: string | null) => cellEdit({ look, property, state, widths }, text, text === null ? undefined : side);
  const sideName = side === undefined ? '' : ` ${property.sides?.[side]}`;
  return (
    <ValueCell
      name={called ?? `${name}${sideName} in ${STATE_NAMES[state]}`}
      text={(side === undefined ? cell?.text : (cell?.sides?.[side] ?? cell?.text)) ?? null}
      inherited={inherited(look, property, state, widths)}
      names={[...(state !== 'rest' && findCell(look, id, 'rest', ALL_WIDTHS) ? ['rest'] : []), ...namesIn(names, property.setting)]}
      edit={edit}
      note={side === undefined ? cell?.note : undefined}
      swatch={side === undefined ? cell?.swatch : undefined}
      notch={variesByWidth(look, id, state)}
      isStop={isStop}
    />
  );
}
