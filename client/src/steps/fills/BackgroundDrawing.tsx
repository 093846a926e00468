import { useState } from 'react';
import type { ThingView } from '../../api/client';
import { TextsOver } from '../../readings/TextsOver';
import { DrawnFill } from '../../ui/DrawnFill';
import { LayersTable } from './LayersTable';
import { LightLayer } from './LightLayer';
import { PictureLayer } from './PictureLayer';
import { useBackground } from './useBackground';

/** A background in its row: as it is painted, and how many layers it has. */
export function BackgroundStrip({ thing }: { thing: ThingView }) {
  const background = useBackground(thing.id);
  const count = thing.items?.length ?? 0;
  return (
    <span className="gradient-row">
      <DrawnFill className="fill-strip" html={background?.html ?? ''} />
      <span className="gradient-kind">
        {count === 1 ? '1 layer' : `${count} layers`}
        {background?.isElements && ', elements'}
      </span>
    </span>
  );
}

/** A background drawn large, its layers in their order, and what can be set of the chosen one if it is a picture. */
export function BackgroundDrawing({ thing }: { thing: ThingView }) {
  const background = useBackground(thing.id);
  const [wanted, setWanted] = useState<string | null>(null);
  if (!background) return null;
  const items = thing.items ?? [];
  const chosen = items.find((i) => i.id === wanted) ?? items[0];
  const layer = background.layers.find((l) => l.id === chosen?.id);
  return (
    <div className="drawing background-drawing">
      <DrawnFill className="background-whole" html={background.html} />
      {background.isElements && (
        <p className="quiet">
          Pictures, clips and lights that follow a text are elements of their own behind what a section, group, card, header or footer
          holds.
        </p>
      )}
      <LayersTable thing={thing} background={background} chosen={chosen?.id ?? null} onChoose={setWanted} />
      {chosen && layer && layer.placed === null && (
        <LightLayer key={chosen.id} thing={thing} item={chosen} name={`Layer ${items.indexOf(chosen) + 1} of ${thing.name}`} />
      )}
      {chosen && layer && layer.placed !== null && (
        <PictureLayer
          key={chosen.id}
          thing={thing}
          background={background}
          item={chosen}
          layer={layer}
          name={`Layer ${items.indexOf(chosen) + 1} of ${thing.name}`}
        />
      )}
      <TextsOver fill={`background/${thing.id}`} name={thing.name} />
    </div>
  );
}
