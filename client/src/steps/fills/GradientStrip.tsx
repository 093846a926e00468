import type { ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useGradient } from './useGradient';

/** A gradient in its row: as it is painted, and what it is. */
export function GradientStrip({ thing }: { thing: ThingView }) {
  const gradient = useGradient(thing.id);
  const repeats = fieldText(thing, 'repeats') === 'once' ? '' : 'repeating ';
  return (
    <span className="gradient-row">
      <span className="fill-strip" style={{ backgroundImage: gradient?.css }} />
      <span className="gradient-kind">
        {repeats}
        {fieldText(thing, 'kind')}
      </span>
    </span>
  );
}
