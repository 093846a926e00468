import type { LookView, PropertyView, State } from '../api/client';
import { findCell, inherited, STATE_NAMES, variesByWidth, type Widths } from './cells';
import { ValueCell } from './ValueCell';

interface Props {
  look: LookView;
  property: PropertyView;
  state: State;
  widths: Widths;
}

/** A value of a look for a property in a state. */
export function LedgerCell({ look, property, state, widths }: Props) {
  if (property.sameInAllStates && state !== 'rest') return <span className="inherited same">same in all</span>;
  const cell = findCell(look, property.id, state, widths);
  return (
    <ValueCell
      name={`${property.name} in ${STATE_NAMES[state]}`}
      text={cell?.text ?? null}
      inherited={inherited(look, property, state, widths)}
      names={state === 'rest' ? property.names : ['rest', ...property.names]}
      edit={(text) => ({
        kind: 'setCell',
        look: look.id,
        property: property.id,
        state,
        from: widths.from,
        below: widths.below,
        text,
      })}
      note={cell?.note}
      swatch={cell?.swatch}
      notch={variesByWidth(look, property.id, state)}
    />
  );
}
