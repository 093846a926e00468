import { Button, Tooltip } from 'antd';
import { memo, useState } from 'react';
import type { ColorView, Edit, ThingView } from '../../api/client';
import { useActions } from '../../site/editingContext';
import { TextField } from '../../values/TextField';
import { useHeld } from '../../values/useHeld';
import { ColorPlane } from './ColorPlane';
import { HueSlider } from './HueSlider';
import { cssOf, type Position } from './position';
import './ColorEditor.css';

interface Props {
  thing: ThingView;
  /** As it is being tried. */
  color: ColorView;
  stored: ColorView;
  onRemoved: () => void;
}

/** Changes a colour by plane and hue, or by typing; the stage follows the hand. */
export function ColorEditor({ thing, color, stored, onRemoved }: Props) {
  // A grey has no hue: the slider keeps the one it had.
  const [lastHue, setLastHue] = useState(0);
  const held = useHeld<Position>((position) => setColor(thing.id, cssOf(position, stored.alpha)));
  const at = held.value ?? { l: color.lightness / 100, c: color.chroma / 100, h: color.hue ?? lastHue };
  const hold = (position: Position) => {
    setLastHue(position.h);
    held.hold(position);
  };
  return (
    <section className="color-editor" aria-label={`Colour ${thing.name}`}>
      <div className="subhead">
        <strong>{thing.name}</strong>
        <span className="quiet">
          lightness {color.lightness.toFixed(0)} · chroma {color.chroma.toFixed(0)}
          {color.hue !== null && ` · hue ${color.hue.toFixed(0)}°`} ·{' '}
          {color.inSrgb ? 'inside sRGB' : `outside sRGB, falls back to ${color.hex}`}
        </span>
      </div>
      <div className="color-controls">
        <ColorPlane at={at} hue={Math.round(stored.hue ?? lastHue) % 360} hex={color.hex} held={{ ...held, hold }} />
        <div className="color-fields">
          <div className="hue">
            <span className="quiet" aria-hidden="true">
              Hue
            </span>
            <HueSlider at={at} held={{ ...held, hold }} />
          </div>
          <ColorFields thing={thing} css={stored.css} onRemoved={onRemoved} />
        </div>
      </div>
    </section>
  );
}

const setColor = (id: string, css: string): Edit => ({ kind: 'setThing', of: 'color', id, field: 'color', text: css, in: null });

/** Value and name as text. They show what is stored, so a drag does not draw them anew. */
const ColorFields = memo(function ColorFields({ thing, css, onRemoved }: { thing: ThingView; css: string; onRemoved: () => void }) {
  const { make } = useActions();
  const remove = async () => {
    if ((await make({ kind: 'removeThing', of: 'color', id: thing.id, by: null, in: null })) === null) onRemoved();
  };
  return (
    <>
      <TextField label="Value" value={css} mono tries edit={(text) => setColor(thing.id, text)} />
      <TextField label="Name" value={thing.name} edit={(name) => ({ kind: 'renameThing', of: 'color', id: thing.id, name })} />
      <Tooltip title={thing.uses.length > 0 ? `In use: ${thing.uses.slice(0, 6).join(', ')}` : ''} trigger={['hover', 'focus']}>
        <Button size="small" onClick={() => void remove()} disabled={thing.uses.length > 0} aria-label={`Remove ${thing.name}`}>
          Remove
        </Button>
      </Tooltip>
    </>
  );
});
