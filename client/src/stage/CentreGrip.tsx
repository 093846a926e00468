import type { PointerEvent } from 'react';
import { useParams, useSearchParams } from 'react-router';
import type { Edit, LookView, ThingView } from '../api/client';
import { fieldText, thingsOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { useDrag, useHeld } from '../values/useHeld';
import { useFollowed } from './useFollowed';
import './CentreGrip.css';

interface Props {
  page: Document;
  /** Of the viewport on screen. */
  scale: number;
}

/** On the stage the centre of the gradient in hand is dragged where it lies, and how far its own reach goes: in the first box on the page that wears it. */
export function CentreGrip({ page, scale }: Props) {
  const { step } = useParams();
  const [params] = useSearchParams();
  const isInHand = step === 'fills' && (params.get('view') ?? 'gradients') === 'gradients';
  const id = params.get('gradient');
  // Where none is named, the panel shows the first.
  const gradient = useEditing((e) => thingsOf(e.site, 'gradient').find((g) => g.id === id || !id));
  const looks = useEditing((e) => e.site.looks);
  const kind = fieldText(gradient, 'kind');
  if (!isInHand || !gradient || (kind !== 'radial' && kind !== 'conic')) return null;
  const wearer = wearerOf(page, looks, gradient.name);
  return wearer && <Grips key={gradient.id} element={wearer} gradient={gradient} kind={kind} scale={scale} />;
}

/** The first box on the page that wears a gradient at Rest, through its look. */
function wearerOf(page: Document, looks: readonly LookView[], name: string): HTMLElement | null {
  const worn = looks.filter((look) => look.cells.some((c) => c.property === 'background' && c.state === 'rest' && c.text === name));
  return worn.length === 0 ? null : page.querySelector<HTMLElement>(worn.map((look) => look.selector).join(','));
}

const boxOf = (element: HTMLElement) => element.getBoundingClientRect();

interface Place {
  x: number;
  y: number;
}

interface GripsProps {
  element: HTMLElement;
  gradient: ThingView;
  kind: string;
  scale: number;
}

function Grips({ element, gradient, kind, scale }: GripsProps) {
  const box = useFollowed(element, boxOf);
  const amount = (field: string) => Number.parseFloat(fieldText(gradient, field)) || 0;
  const centre = useHeldPlace(gradient, 'centre', ['x', 'y']);
  const reach = useHeldPlace(gradient, 'reach', ['reach-x', 'reach-y']);
  const stored = { x: amount('x'), y: amount('y') };
  const far = { x: amount('reach-x'), y: amount('reach-y') };
  const moved = (event: PointerEvent<HTMLElement>, start: PointerEvent<HTMLElement>, from: Place): Place => ({
    x: rounded(from.x + ((event.clientX - start.clientX) / scale / box.width) * 100),
    y: rounded(from.y + ((event.clientY - start.clientY) / scale / box.height) * 100),
  });
  const drag = useDrag<Place>({
    held: centre,
    at: (event, start) => moved(event, start, stored),
    isUnchanged: (next) => next.x === stored.x && next.y === stored.y,
  });
  const dragReach = useDrag<Place>({
    held: reach,
    at: (event, start) => {
      const { x, y } = moved(event, start, far);
      return { x: Math.max(1, x), y: Math.max(1, y) };
    },
    isUnchanged: (next) => next.x === far.x && next.y === far.y,
  });
  const at = centre.value ?? stored;
  const reaches = reach.value ?? far;
  const [left, top] = [box.left + (at.x / 100) * box.width, box.top + (at.y / 100) * box.height];
  const [across, down] = [(reaches.x / 100) * box.width, (reaches.y / 100) * box.height];
  const ownReach = kind === 'radial' && fieldText(gradient, 'extent') === 'own reach';
  // Both are typed among the settings: the stage's own picture of them is for the hand alone.
  return (
    <div className="centre-grips" aria-hidden="true" style={{ transform: `scale(${scale})` }}>
      {ownReach && (
        <>
          <span
            className="reach-outline"
            style={{ left: left - across, top: top - down, width: 2 * across, height: 2 * down, borderWidth: 2 / scale }}
          />
          <span
            className="reach-grip"
            style={{ left: left + across * Math.SQRT1_2, top: top + down * Math.SQRT1_2, scale: `${1 / scale}` }}
            title={`Reach of ${gradient.name}: ${reaches.x} %, ${reaches.y} %`}
            {...dragReach.handlers}
          />
        </>
      )}
      <span
        className="centre-grip"
        style={{ left, top, scale: `${1 / scale}` }}
        title={`Centre of ${gradient.name}: ${at.x} %, ${at.y} %`}
        {...drag.handlers}
      />
    </div>
  );
}

/** Two shares of the box in the hand, set together. */
function useHeldPlace(gradient: ThingView, called: string, [across, down]: [string, string]) {
  const set = (field: string, value: number): Edit => ({
    kind: 'setThing',
    of: 'gradient',
    id: gradient.id,
    field,
    text: `${value}%`,
    in: null,
  });
  return useHeld<Place>(({ x, y }) => ({
    kind: 'together',
    words: `${gradient.name} · ${called} → ${x} %, ${y} %`,
    edits: [set(across, x), set(down, y)],
  }));
}

const rounded = (share: number) => Math.round(Math.max(-1000, Math.min(1000, share)) * 10) / 10;
