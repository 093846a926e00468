import { useCallback, useState, type PointerEvent } from 'react';
import type { LookView, PropertyView } from '../api/client';
import { partOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { useDrag, useHeld } from '../values/useHeld';
import { bandEdit, gripOf, grows, pieceOf, propertyOf, setBy, textOf, type Grip } from './bandEdit';
import { bandsOf, figuresOf, gapsBetween, type Band, type Box, type Figure, type Sides } from './bands';
import { HeightGrip } from './HeightGrip';
import { useFollowed } from './useFollowed';
import './Selection.css';

interface Props {
  element: HTMLElement;
  look: LookView | undefined;
  /** Of the viewport, px. */
  width: number;
  scale: number;
}

interface Measured {
  box: Box;
  bands: Band[];
  /** What its gaps lie between. */
  gapped: readonly HTMLElement[];
}

/** The outline of what is selected, with its padding, margin and gaps as bands and in numbers (CSS px, as the browser laid it out); dragging a band changes what it shows. */
export function Selection({ element, look, width, scale }: Props) {
  const part = useEditing((e) => partOf(e.catalogue, look?.part ?? ''));
  const padding = propertyOf(part, 'padding');
  const gap = propertyOf(part, 'gap');
  // What can be made higher by its lower edge.
  const least = part?.properties.find((p) => p.cssName === 'min-block-size')?.setting.id;
  const band = element.dataset.block;
  const { box, bands, gapped } = useFollowed(
    element,
    useCallback((measured: HTMLElement) => measure(measured, padding, gap), [padding, gap]),
  );
  const { clientWidth, clientHeight } = element.ownerDocument.documentElement;
  return (
    <div className="selection" aria-hidden="true" style={{ transform: `scale(${scale})` }}>
      {bands.map((band, i) => (
        <BandShown
          key={band.kind + band.side + i}
          band={band}
          scale={scale}
          width={width}
          look={look}
          within={element}
          after={band.after === undefined ? undefined : gapped[band.after]}
        />
      ))}
      <div
        className="selection-outline"
        style={{ left: box.left, top: box.top, width: box.width, height: box.height, outlineWidth: 2 / scale }}
      />
      {band && least && (
        <HeightGrip
          block={band}
          name={part?.name.toLowerCase() ?? 'band'}
          property={least}
          box={box}
          width={width}
          scale={scale}
          element={element}
        />
      )}
      {figures(box, bands, scale, { width: clientWidth, height: clientHeight }).map(({ kind, text, x, y }, i) => (
        <span key={i} className={`figure ${kind}`} style={{ left: x, top: y, transform: `scale(${1 / scale}) translate(-50%, -50%)` }}>
          {text}
        </span>
      ))}
    </div>
  );
}

interface BandProps {
  band: Band;
  scale: number;
  width: number;
  look: LookView | undefined;
  /** The element on the page that is selected. */
  within: HTMLElement;
  /** Of a gap the element after it. */
  after: HTMLElement | undefined;
}

/** A band, which can be dragged where a setting moves it: it keeps to the spaces of the scale, with Alt to any px. */
function BandShown({ band, scale, width, look, within, after }: BandProps) {
  const { kind, side, left, top, width: wide, height } = band;
  const spaces = useEditing((e) => e.site.space.steps);
  const looks = useEditing((e) => e.site.looks);
  const catalogue = useEditing((e) => e.catalogue);
  const across = side === 'top' || side === 'bottom';
  const size = across ? band.height : band.width;
  // Found out when the hand comes: what counts changes with every edit.
  const [grip, setGrip] = useState<Grip | null>(null);
  const [began, setBegan] = useState(size);
  const held = useHeld<string>((text) => bandEdit(grip as Grip, side, width, text));
  const drag = useDrag<string>({
    held,
    at: (event: PointerEvent<HTMLElement>, start) => {
      const moved = ((across ? event.clientY - start.clientY : event.clientX - start.clientX) / scale) * grows(band);
      if (!grip || (Math.abs(moved) < 1 && held.value === null)) return null;
      const px = setBy(grip, began + moved);
      return textOf({ grip, side, width, spaces, free: event.altKey, px, was: setBy(grip, began) });
    },
  });
  const find = () => setGrip(gripOf({ band, element: within, after, look, catalogue, looks }));
  // What it shows is set by key in the ledger: the stage's own picture of it is for the hand alone.
  /* eslint-disable jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions */
  return (
    <span
      className={`band ${kind}${grip ? ` draggable ${across ? 'down' : 'across'}` : ''}`}
      style={{ left, top, width: wide, height }}
      title={grip ? `${grip.property.setting.name} of ${partOf(catalogue, grip.look.part)?.name ?? ''} · ${grip.look.name}` : undefined}
      {...drag.handlers}
      onPointerEnter={find}
      onPointerDown={(event) => {
        find();
        setBegan(size);
        drag.handlers.onPointerDown(event);
      }}
      // What is under it is chosen and scrolled as if it were not there.
      onClick={(event) => {
        if (drag.wasDragged()) return;
        const page = within.ownerDocument;
        const frame = event.currentTarget.parentElement?.getBoundingClientRect() ?? { left: 0, top: 0 };
        (page.elementFromPoint((event.clientX - frame.left) / scale, (event.clientY - frame.top) / scale) as HTMLElement | null)?.click();
      }}
      onWheel={(event) => within.ownerDocument.defaultView?.scrollBy(event.deltaX, event.deltaY)}
    />
  );
  /* eslint-enable jsx-a11y/click-events-have-key-events, jsx-a11y/no-static-element-interactions */
}

/** The figures of paddings and margins, and those of gaps in their middle where there is room for them. */
function figures(box: Box, bands: readonly Band[], scale: number, view: { width: number; height: number }): Figure[] {
  const own = bands.filter((b) => b.kind !== 'gap');
  const gaps = bands
    .filter((b) => b.kind === 'gap' && b.width * scale >= 18 && b.height * scale >= 8)
    .map(({ kind, side, left, top, width, height }) => ({
      kind,
      text: String(Math.round((side === 'top' ? height : width) * 10) / 10),
      x: left + width / 2,
      y: top + height / 2,
    }));
  return [...figuresOf(box, own, scale, view), ...gaps];
}

function measure(element: HTMLElement, padding: PropertyView | undefined, gap: PropertyView | undefined): Measured {
  const box = boxOf(element);
  const padded = padding && pieceOf(element, padding);
  const holder = gap && pieceOf(element, gap);
  const gapped = [...(holder?.children ?? [])].filter((c) => c.getBoundingClientRect().width > 0) as HTMLElement[];
  const bands = [
    ...bandsOf(box),
    // Where a piece inside has the padding, that is shown.
    ...(padded && padded !== element ? bandsOf(boxOf(padded)).filter((b) => b.kind === 'padding') : []),
    ...(holder
      ? gapsBetween(
          gapped.map((c) => c.getBoundingClientRect()),
          holder.getBoundingClientRect(),
        )
      : []),
  ];
  return { box, bands, gapped };
}

function boxOf(element: Element): Box {
  const { top, right, bottom, left, width, height } = element.getBoundingClientRect();
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const sides = (name: string, what = ''): Sides => {
    const of = (side: string) => parseFloat(style?.getPropertyValue(`${name}-${side}${what}`) ?? '') || 0;
    return { top: of('top'), right: of('right'), bottom: of('bottom'), left: of('left') };
  };
  return { top, right, bottom, left, width, height, border: sides('border', '-width'), padding: sides('padding'), margin: sides('margin') };
}
