import type { Schemas, ThingView } from '../../api/client';
import type { Editing } from '../../site/editing';
import { useEditing, useEditingLater } from '../../site/editingContext';

type BackgroundView = Schemas['BackgroundView'];

const triedBackgrounds = (editing: Editing) => editing.trial?.backgrounds;

/** What a background comes to: as it is tried, once the stage has followed; else as it is stored. */
function useBackground(id: string): BackgroundView | undefined {
  const stored = useEditing((e) => e.site.fills.backgrounds.find((b) => b.id === id));
  return useEditingLater(triedBackgrounds)?.find((b) => b.id === id) ?? stored;
}

/** A background in its row: as it is painted, and how many layers it has. */
export function BackgroundStrip({ thing }: { thing: ThingView }) {
  const background = useBackground(thing.id);
  const count = thing.items?.length ?? 0;
  return (
    <span className="gradient-row">
      <span className="fill-strip" style={{ backgroundImage: background?.images, backgroundBlendMode: background?.blends }} />
      <span className="gradient-kind">{count === 1 ? '1 layer' : `${count} layers`}</span>
    </span>
  );
}

/** A background drawn large, and each of its layers by itself. */
export function BackgroundDrawing({ thing }: { thing: ThingView }) {
  const background = useBackground(thing.id);
  if (!background) return null;
  return (
    <div className="drawing background-drawing" aria-hidden="true">
      <span className="background-whole" style={{ backgroundImage: background.images, backgroundBlendMode: background.blends }} />
      <span className="background-layers">
        {background.layers.map((layer, place) => (
          <span key={layer.id} title={`Layer ${place + 1} by itself`} style={{ backgroundImage: layer.css }} />
        ))}
      </span>
    </div>
  );
}
