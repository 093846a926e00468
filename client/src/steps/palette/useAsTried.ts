import type { ColorView } from '../../api/client';
import type { Editing } from '../../site/editing';
import { useEditingLater } from '../../site/editingContext';

const triedColors = (editing: Editing) => editing.trial?.colors;

/** Shows colours as a trial has them while one is tried, once the stage has followed; else as they are stored. */
export function useAsTried(): (stored: ColorView) => ColorView {
  const tried = useEditingLater(triedColors);
  return (stored) => tried?.find((t) => t.id === stored.id) ?? stored;
}
