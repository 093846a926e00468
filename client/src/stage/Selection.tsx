import { useEffect, useState } from 'react';
import { useEditingStore } from '../site/editingContext';
import { bandsOf, figuresOf, type Box, type Sides } from './bands';
import './Selection.css';

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

  const bands = bandsOf(box);
  const { clientWidth: width, clientHeight: height } = element.ownerDocument.documentElement;
  return (
    <div className="selection" aria-hidden="true" style={{ transform: `scale(${scale})` }}>
      {bands.map(({ kind, side, ...place }) => (
        <span key={kind + side} className={`band ${kind}`} style={place} />
      ))}
      <div
        className="selection-outline"
        style={{ left: box.left, top: box.top, width: box.width, height: box.height, outlineWidth: 2 / scale }}
      />
      {figuresOf(box, bands, scale, { width, height }).map(({ kind, text, x, y }, i) => (
        <span key={i} className={`figure ${kind}`} style={{ left: x, top: y, transform: `scale(${1 / scale}) translate(-50%, -50%)` }}>
          {text}
        </span>
      ))}
    </div>
  );
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
