import type { Schemas } from '../../api/client';
import type { Editing } from '../../site/editing';
import { useEditing, useEditingLater } from '../../site/editingContext';

export type BackgroundView = Schemas['BackgroundView'];

const triedBackgrounds = (editing: Editing) => editing.trial?.backgrounds;

/** What a background comes to: as it is tried, once the stage has followed; else as it is stored. */
export function useBackground(id: string): BackgroundView | undefined {
  const stored = useEditing((e) => e.site.fills.backgrounds.find((b) => b.id === id));
  return useEditingLater(triedBackgrounds)?.find((b) => b.id === id) ?? stored;
}
