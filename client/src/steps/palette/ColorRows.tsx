import { useEffect, useRef } from 'react';
import type { ThingView } from '../../api/client';
import type { ListedColor } from './colorList';
import { ColorRow } from './ColorRow';
import { useAsTried } from './useAsTried';

interface Props {
  label: string;
  colors: readonly ListedColor[];
  chosen: string | undefined;
  onChoose: (id: string) => void;
  onDrop: (id: string, on: ThingView) => void;
  onMove: (id: string, by: -1 | 1) => void;
}

/** The rows of colours. One that was chosen elsewhere, or added far down a long list, comes into sight. */
export function ColorRows({ label, colors, chosen, ...acts }: Props) {
  const asTried = useAsTried();
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    row.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <ul className="chosen-list" aria-label={label}>
      {colors.map(({ thing, stored }) => (
        <li key={thing.id} ref={thing.id === chosen ? row : null}>
          <ColorRow thing={thing} color={asTried(stored)} chosen={thing.id === chosen} {...acts} />
        </li>
      ))}
    </ul>
  );
}
