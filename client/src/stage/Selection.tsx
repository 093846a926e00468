import { useEffect, useState } from 'react';
import { useEditingStore } from '../site/editingContext';
import './Selection.css';

interface Sides {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

interface Box extends Sides {
  width: number;
  height: number;
  border: Sides;
  padding: Sides;
  margin: Sides;
}

/** The outline of what is selected, with its padding and margin as bands and in numbers (CSS px, as the browser laid it out). */
export function Selection({ element, scale }: { element: HTMLElement; scale: number }) {
  const [box, setBox] = useState(() => measure(element));
  const store = useEditingStore();

  useEffect(() => {
    let frame = 0;
    const again = () => {
      if (frame === 0)
        frame = requestAnimationFrame(() => {
          frame = 0;
          setBox(measure(element));
        });
    };
    again();
    const view = element.ownerDocument.defaultView;
    const observer = new ResizeObserver(again);
    observer.observe(element);
    view?.addEventListener('scroll', again, { passive: true });
    const unsubscribe = store.subscribe(again);
    return () => {
      cancelAnimationFrame(frame);
      observer.disconnect();
      view?.removeEventListener('scroll', again);
      unsubscribe();
    };
  }, [element, store]);

  return (
    <div className="selection" aria-hidden="true" style={{ transform: `scale(${scale})` }}>
      <Bands kind="margin" box={box} sides={box.margin} scale={scale} />
      <Bands kind="padding" box={box} sides={box.padding} scale={scale} />
      <div
        className="selection-outline"
        style={{ left: box.left, top: box.top, width: box.width, height: box.height, outlineWidth: 2 / scale }}
      />
    </div>
  );
}

const NONE: Sides = { top: 0, right: 0, bottom: 0, left: 0 };
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

function Bands({ kind, box, sides, scale }: { kind: 'margin' | 'padding'; box: Box; sides: Sides; scale: number }) {
  return SIDES.filter((side) => sides[side] > 0).map((side) => {
    const size = sides[side];
    const outside = kind === 'margin';
    const across = side === 'top' || side === 'bottom';
    // Margins lie around the border box, paddings within its border; those at the sides stand between those above and below.
    const edge = outside ? NONE : box.border;
    const [above, below] = outside || across ? [0, 0] : [sides.top, sides.bottom];
    const inner = {
      left: box.left + edge.left,
      top: box.top + edge.top,
      right: box.left + box.width - edge.right,
      bottom: box.top + box.height - edge.bottom,
    };
    const style = {
      left: side === 'left' ? inner.left - (outside ? size : 0) : side === 'right' ? inner.right - (outside ? 0 : size) : inner.left,
      top: side === 'top' ? inner.top - (outside ? size : 0) : side === 'bottom' ? inner.bottom - (outside ? 0 : size) : inner.top + above,
      width: across ? inner.right - inner.left : size,
      height: across ? size : inner.bottom - inner.top - above - below,
      fontSize: 10 / scale,
    };
    return (
      <span key={kind + side} className={`band ${kind}`} style={style}>
        {size * scale >= 8 && Math.round(size * 10) / 10}
      </span>
    );
  });
}

function measure(element: HTMLElement): Box {
  const { top, right, bottom, left, width, height } = element.getBoundingClientRect();
  const style = element.ownerDocument.defaultView?.getComputedStyle(element);
  const sides = (name: string, what = ''): Sides => {
    const of = (side: string) => parseFloat(style?.getPropertyValue(`${name}-${side}${what}`) ?? '') || 0;
    return { top: of('top'), right: of('right'), bottom: of('bottom'), left: of('left') };
  };
  return { top, right, bottom, left, width, height, border: sides('border', '-width'), padding: sides('padding'), margin: sides('margin') };
}
