import { useState } from 'react';
import type { Edit, Schemas, ThingView } from '../../api/client';
import { kindOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { useTrial } from '../../site/useTrial';
import { groupBy } from '../../ui/groupBy';
import { Problem } from '../../ui/Problem';
import { Crops } from './Crops';
import { FocusBox } from './FocusBox';
import { LayerSettings } from './LayerSettings';

/** The headings of what pictures have, and of what clips alone have. */
const PLACED = ['Picture', 'Toning'];
const CLIP = 'Clip';

interface Props {
  /** The background it is a layer of. */
  thing: ThingView;
  background: Schemas['BackgroundView'];
  item: Schemas['ThingItemView'];
  layer: Schemas['FillLayerView'];
  name: string;
}

/** What can be set of a layer that is a picture or a clip: how it fills its box, the point kept in sight, what it does on scrolling, and its two colours. */
export function PictureLayer({ thing, background, item, layer, name }: Props) {
  const { shownBy, make } = useTrial();
  const picture = useEditing((e) => [...e.site.pictures, ...e.site.clips].find((p) => p.id === layer.placed));
  const isClip = useEditing((e) => e.site.clips.some((c) => c.id === layer.placed));
  const described = useEditing((e) => kindOf(e.catalogue, 'background')?.items);
  const tonings = useEditing((e) => e.site.fills.tonings);
  const [problem, setProblem] = useState<string | null>(null);
  if (!picture || !described) return null;
  const set = (field: string, text: string): Edit => ({ kind: 'setThing', of: 'background', in: thing.id, id: item.id, field, text });
  const groups = [...groupBy(described.fields, (f) => f.group)].filter(([group]) => PLACED.includes(group) || (isClip && group === CLIP));
  const toned = (shadows: string, highlights: string): Edit => ({
    kind: 'together',
    words: `${name} · toned ${shadows} and ${highlights}`,
    edits: [set('toning', 'in two colours'), set('shadows', shadows), set('highlights', highlights)],
  });
  return (
    <div className="picture-layer">
      <div className="picture-layer-head">
        <FocusBox
          name={name}
          picture={picture}
          isClip={isClip}
          stored={{ x: layer.focusX, y: layer.focusY }}
          edit={(field, share) => set(field, `${share}%`)}
        />
        <div className="tonings">
          <span className="quiet">Toned in two colours of the palette</span>
          <span className="toning-pairs">
            {tonings.map((pair) => (
              <button
                key={`${pair.shadows} ${pair.highlights}`}
                type="button"
                className="toning-pair"
                aria-label={`Tone ${name} in ${pair.shadows} and ${pair.highlights}`}
                title={`${pair.shadows} and ${pair.highlights}`}
                style={{ background: `linear-gradient(90deg, ${pair.dark}, ${pair.light})` }}
                onClick={() => void make(toned(pair.shadows, pair.highlights), { saidAtItsPlace: true }).then(setProblem)}
                {...shownBy(toned(pair.shadows, pair.highlights))}
              />
            ))}
            {tonings.length === 0 && <span className="quiet">no two colours of the palette are dark and light enough</span>}
          </span>
        </div>
      </div>
      {isClip && (
        <p className="quiet">
          The small script of a release plays it where it is seen, with buttons to stop it; without scripts, and for those who ask for less
          motion, it is its poster.
        </p>
      )}
      <Crops name={name} classes={[background.class]} html={layer.html} />
      <div className="setting-groups">
        {groups.map(([group, fields]) => (
          <LayerSettings key={group} group={group} fields={fields} item={item} name={name} edit={set} />
        ))}
      </div>
      <Problem text={problem} />
    </div>
  );
}
