import type { LookView, PropertyView } from '../api/client';
import { useActions } from '../site/editingContext';
import { cellEdit, STATE_NAMES, type Remark, type Widths } from './cells';

interface Props {
  look: LookView;
  property: PropertyView;
  widths: Widths;
  remarks: readonly Remark[];
}

/** What is to be said of the values of a property, and what to do. */
export function Remarks({ look, property, widths, remarks }: Props) {
  const { make } = useActions();
  return remarks.map(({ state, says, source, act, text, isWrong }) => (
    <span key={`${state} ${says}`} className={isWrong ? 'remark wrong' : 'remark'} title={source}>
      {state !== 'rest' && `${STATE_NAMES[state]}: `}
      {says}{' '}
      {act && text !== undefined && (
        <button
          type="button"
          className="remark-act"
          aria-label={`${property.setting.name} in ${STATE_NAMES[state]}: ${act}`}
          onClick={() => void make(cellEdit({ look, property, state, widths }, text))}
        >
          {act}
        </button>
      )}
    </span>
  ));
}
