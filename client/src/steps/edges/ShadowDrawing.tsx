import { Select } from 'antd';
import { useState, type PointerEvent } from 'react';
import type { Schemas, ThingView } from '../../api/client';
import { useEditing } from '../../site/editingContext';
import { HeldSlider } from '../../values/HeldSlider';
import { inUnitOf } from '../../values/numbers';
import { useDrag, useHeld } from '../../values/useHeld';

type Layer = Schemas['LayerView'];

interface Offset {
  x: number;
  y: number;
}

/** As high as a box is raised with one figure, px. */
const HIGHEST = 64;

/** A shadow drawn large: the layer in hand is dragged, and one figure gives a stack of soft layers. */
export function ShadowDrawing({ thing }: { thing: ThingView }) {
  const shadow = useEditing((e) => e.site.edges.shadows.find((s) => s.id === thing.id));
  const [at, setAt] = useState(0);
  const layers = shadow?.layers ?? [];
  const chosen = layers[at] ?? layers[0];
  const stored = { x: chosen?.x ?? 0, y: chosen?.y ?? 0 };
  const offset = useHeld<Offset>(({ x, y }) => ({
    kind: 'together',
    words: `${thing.name} · layer ${layers.indexOf(chosen as Layer) + 1} → ${x}px ${y}px`,
    edits: (['x', 'y'] as const).map((field) => ({
      kind: 'setThing' as const,
      of: 'shadow',
      id: chosen?.id ?? '',
      field,
      text: inUnitOf(textOf(thing, chosen?.id, field), stored[field], field === 'x' ? x : y),
      in: thing.id,
    })),
  }));
  const height = useHeld<number>((px) => ({ kind: 'raiseShadow', id: thing.id, height: `${px}` }));
  const drag = useDrag<Offset>({
    held: offset,
    at: (event: PointerEvent<HTMLElement>, start) => ({
      x: Math.round(stored.x + event.clientX - start.clientX),
      y: Math.round(stored.y + event.clientY - start.clientY),
    }),
    isUnchanged: (next) => next.x === stored.x && next.y === stored.y,
  });
  if (!shadow || !chosen) return null;
  const now = offset.value ?? stored;
  const raised = height.value ?? shadow.height;
  return (
    <div className="drawing shadow-drawing">
      <div className="shadow-ground" aria-hidden="true">
        <div className="shadow-box" style={{ boxShadow: layers.map((l) => cssOf(l, l === chosen ? now : null)).join(', ') }}>
          <span
            className="drawn-handle"
            style={{ left: `calc(50% + ${now.x}px)`, top: `calc(50% + ${now.y}px)` }}
            title="Drag to move the layer"
            {...drag.handlers}
          />
        </div>
      </div>
      <div className="shadow-controls">
        {layers.length > 1 && (
          <div className="layer-choice">
            <span>Layer in hand</span>
            <Select
              size="small"
              aria-label="Layer in hand"
              value={layers.indexOf(chosen)}
              options={layers.map((_, i) => ({ value: i, label: i + 1 }))}
              onChange={setAt}
            />
          </div>
        )}
        <span className="drawn-figure">
          {now.x}px across, {now.y}px down
        </span>
        <div className="height-slider">
          <span>Height</span>
          <HeldSlider
            label={`Height of ${thing.name}`}
            min={0}
            max={HIGHEST}
            value={Math.round(raised ?? 0)}
            said={raised === null ? 'layers of its own' : `${raised}px`}
            held={height}
            at={(px) => px}
          />
          <span className="quiet">{raised === null ? 'own layers' : `${raised}px`}</span>
        </div>
        <span className="quiet">One figure gives a stack of soft layers: common practice, no source.</span>
      </div>
    </div>
  );
}

/** What is typed for a field of a layer. */
const textOf = (thing: ThingView, layer: string | undefined, field: string) =>
  thing.items?.find((i) => i.id === layer)?.fields.find((f) => f.id === field)?.text;

/** A layer as it is drawn, where it has been dragged to. */
function cssOf(layer: Layer, at: Offset | null): string {
  const { x, y } = at ?? { x: layer.x ?? 0, y: layer.y ?? 0 };
  const color = `color-mix(in srgb, ${layer.color} ${layer.opacity}%, transparent)`;
  return `${layer.isInner ? 'inset ' : ''}${x}px ${y}px ${layer.blur ?? 0}px ${layer.spread ?? 0}px ${color}`;
}
