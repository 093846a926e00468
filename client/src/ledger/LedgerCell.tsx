import type { Edit, LookView, PropertyView, State } from '../api/client';
import { ALL_WIDTHS, findCell, findSquashed, inherited, STATE_NAMES, variesByWidth, type Widths } from './cells';
import { namesIn } from '../site/catalogue';
import { useActions, useEditing } from '../site/editingContext';
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
  const idle = look.idle.find((i) => i.property === id)?.why;
  const squashed = side === undefined ? findSquashed(look, id, state, widths) : undefined;
  const edit = (text: string | null): Edit => ({
    kind: 'setCell',
    look: look.id,
    property: id,
    state,
    from: widths.from,
    below: widths.below,
    text,
    ...(side !== undefined && text !== null && { side }),
  });
  const sideName = side === undefined ? '' : ` ${property.sides?.[side]}`;
  return (
    <>
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
      {side === undefined && state === 'rest' && idle && <span className="remark">{idle}</span>}
      {side === undefined && cell?.preset && (
        <Remark says={`is ${cell.preset}`} act="use it" about={`${name} in ${STATE_NAMES[state]}`} edit={edit(cell.preset)} />
      )}
      {squashed && (
        <Remark
          says={squashed.says}
          source={squashed.source}
          act={`make it ${squashed.mend}`}
          about={`${name} in ${STATE_NAMES[state]}`}
          edit={edit(squashed.mend)}
          wrong
        />
      )}
    </>
  );
}

interface RemarkProps {
  says: string;
  source?: string;
  /** What can be done about it, in a word or two. */
  act: string;
  about: string;
  edit: Edit;
  wrong?: boolean;
}

/** Something about a value, and what to do. */
function Remark({ says, source, act, about, edit, wrong = false }: RemarkProps) {
  const { make } = useActions();
  return (
    <span className={wrong ? 'remark wrong' : 'remark'} title={source}>
      {says}{' '}
      <button type="button" className="remark-act" aria-label={`${about}: ${act}`} onClick={() => void make(edit)}>
        {act}
      </button>
    </span>
  );
}
