import { memo, useState } from 'react';
import type { ColorView, Edit, ThingView } from '../../api/client';
import { thingsOf } from '../../site/catalogue';
import { useActions, useEditing } from '../../site/editingContext';
import { RemoveThing } from '../../things/RemoveThing';
import { UsesMenu } from '../../things/UsesMenu';
import { Shortened } from '../../ui/Shortened';
import { HeldSlider } from '../../values/HeldSlider';
import { TextField } from '../../values/TextField';
import { useHeld } from '../../values/useHeld';
import { ColorFigures } from './ColorFigures';
import { ColorPlane } from './ColorPlane';
import { GroundChoice, useGround } from './GroundChoice';
import { ComputedColor } from './ComputedColor';
import { Neighbours } from './Neighbours';
import { cssOf, type Position } from './position';
import { setColor } from './setColor';
import { SourceChoice } from './SourceChoice';
import { StepsTable } from './StepsTable';
import { useAsTried } from './useAsTried';
import './ColorEditor.css';

interface Props {
  thing: ThingView;
  stored: ColorView;
  /** @param by what took its place, where something did */
  onRemoved: (by: string | null) => void;
}

/** Changes a colour by plane and hue, by typing, or by what it is computed from; the stage follows the hand. */
export function ColorEditor({ thing, stored, onRemoved }: Props) {
  const color = useAsTried()(stored);
  // A grey has no hue: the slider keeps the one it had.
  const [lastHue, setLastHue] = useState(0);
  const [ground, setGround] = useGround();
  const held = useHeld<Position>((position) => setColor(thing.id, cssOf(position, stored.alpha)));
  const at = held.value ?? { l: color.lightness / 100, c: color.chroma / 100, h: color.hue ?? lastHue };
  const hold = (position: Position) => {
    setLastHue(position.h);
    held.hold(position);
  };
  const { computed } = stored;
  return (
    <section className="color-editor" aria-label={`Colour ${thing.name}`}>
      <div className="subhead">
        <strong title={thing.name}>
          <Shortened text={thing.name} end={6} />
        </strong>
        <span className="quiet">
          {color.inSrgb ? `inside sRGB, ${color.hex}` : `outside sRGB: figures are about its fallback ${color.hex}`}
          <Neighbours id={thing.id} />
        </span>
      </div>
      <StepsTable thing={thing} color={color} />
      <div className="color-controls">
        <div>
          <SourceChoice thing={thing} stored={stored} />
          {computed ? (
            <ComputedColor thing={thing} computed={computed} />
          ) : (
            <>
              <ColorPlane
                at={at}
                hue={Math.round(stored.hue ?? lastHue) % 360}
                hex={color.hex}
                ground={ground.hex}
                marks={color.marks}
                held={{ ...held, hold }}
              />
              <GroundChoice ground={ground.id} onChange={setGround} />
            </>
          )}
        </div>
        <div className="color-fields">
          {!computed && (
            <div className="hue">
              <span className="quiet" aria-hidden="true">
                Hue
              </span>
              <HeldSlider
                label="Hue"
                className="hue-slider"
                min={0}
                max={359}
                value={Math.round(at.h)}
                held={{ ...held, hold }}
                at={(h) => ({ ...at, h })}
              />
            </div>
          )}
          <ColorFigures thing={thing} color={color} />
          <ColorFields thing={thing} stored={stored} onRemoved={onRemoved} />
        </div>
      </div>
    </section>
  );
}

interface FieldsProps {
  thing: ThingView;
  stored: ColorView;
  onRemoved: (by: string | null) => void;
}

/** Value, name and group as text. They show what is stored, so a drag does not draw them anew. */
const ColorFields = memo(function ColorFields({ thing, stored, onRemoved }: FieldsProps) {
  const { make } = useActions();
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const remove = async (by: string | null) => {
    if ((await make({ kind: 'removeThing', of: 'color', id: thing.id, by, in: null })) === null) onRemoved(by);
  };
  return (
    <>
      <TextField label="Value" value={stored.css} mono tries edit={(text) => setColor(thing.id, text)} />
      <TextField label="Name" value={thing.name} edit={(name) => ({ kind: 'renameThing', of: 'color', id: thing.id, name })} />
      <TextField label="Group" value={stored.group} edit={(text) => setGroup(thing.id, text)} />
      <div className="color-ends">
        <UsesMenu kind="color" thing={thing} />
        <RemoveThing thing={thing} others={things} onRemove={(by) => void remove(by)} />
      </div>
    </>
  );
});

const setGroup = (id: string, text: string): Edit => ({
  kind: 'setThing',
  of: 'color',
  id,
  field: 'group',
  text: text.trim() === '' ? 'no group' : text,
  in: null,
});
