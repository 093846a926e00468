import type { Schemas } from '../../api/client';
import type { Editing } from '../../site/editing';
import { useEditing, useEditingLater } from '../../site/editingContext';

export type GradientView = Schemas['GradientView'];

const triedGradients = (editing: Editing) => editing.trial?.gradients;

/** What a gradient comes to: as it is tried, once the stage has followed; else as it is stored. */
export function useGradient(id: string): GradientView | undefined {
  const stored = useEditing((e) => e.site.fills.gradients.find((g) => g.id === id));
  return useEditingLater(triedGradients)?.find((g) => g.id === id) ?? stored;
}
