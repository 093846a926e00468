import type { Edit, Schemas, ThingView } from '../../api/client';
import { fieldText } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { HeldSlider } from '../../values/HeldSlider';
import { useHeld } from '../../values/useHeld';
import { axesText, placeOn } from './axes';
import './AxisSliders.css';

/** The axes of the family a style is set in, each by hand. */
export function AxisSliders({ style }: { style: ThingView }) {
  const family = fieldText(style, 'family');
  const axes = useEditing((e) => e.site.type.families.find((f) => f.name === family)?.axes);
  if (!axes || axes.length === 0) return null;
  return (
    <ul className="axis-sliders" aria-label={`Axes of ${family}`}>
      {axes.map((axis) => (
        <AxisSlider key={axis.tag} style={style} axis={axis} />
      ))}
    </ul>
  );
}

function AxisSlider({ style, axis }: { style: ThingView; axis: Schemas['AxisRange'] }) {
  const text = fieldText(style, 'axes');
  const edit = (at: number): Edit => ({
    kind: 'setThing',
    of: 'textStyle',
    id: style.id,
    field: 'axes',
    text: axesText(text, axis.tag, at),
    in: null,
  });
  const held = useHeld<number>(edit);
  const at = held.value ?? placeOn(text, axis.tag) ?? axis.usual;
  return (
    <li>
      <code>{axis.tag}</code>
      <HeldSlider
        label={`${axis.tag} of ${style.name}`}
        min={axis.least}
        max={axis.most}
        step={axis.most - axis.least > 20 ? 1 : 0.1}
        value={at}
        held={held}
        at={(next) => next}
      />
      <span className="axis-place">{at}</span>
    </li>
  );
}
