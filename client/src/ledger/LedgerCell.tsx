import type { LookView, PropertyView, State } from '../api/client';
import { ALL_WIDTHS, findCell, inherited, STATE_NAMES, variesByWidth, type Widths } from './cells';
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
}

/** A value of a look for a property in a state. */
export function LedgerCell({ look, property, state, widths, isStop }: Props) {
  const names = useEditing((e) => e.site.names);
  if (property.sameInAllStates && state !== 'rest') return <span className="inherited same">same in all</span>;
  const { id, name } = property.setting;
  const cell = findCell(look, id, state, widths);
  return (
    <ValueCell
      name={`${name} in ${STATE_NAMES[state]}`}
      text={cell?.text ?? null}
      inherited={inherited(look, property, state, widths)}
      names={[...(state !== 'rest' && findCell(look, id, 'rest', ALL_WIDTHS) ? ['rest'] : []), ...namesIn(names, property.setting)]}
      edit={(text) => ({
        kind: 'setCell',
        look: look.id,
        property: id,
        state,
        from: widths.from,
        below: widths.below,
        text,
      })}
      note={cell?.note}
      swatch={cell?.swatch}
      notch={variesByWidth(look, id, state)}
      isStop={isStop}
    />
  );
}
