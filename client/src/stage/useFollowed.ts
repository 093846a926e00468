import { useEffect, useState } from 'react';
import { useEditingStore } from '../site/editingContext';

/**
 * What is measured of an element on the page: at first, and again in the next frame whenever it is laid out anew, scrolled, or the site changes.
 * @param measure the same function for as long as the same is measured
 */
export function useFollowed<T>(element: HTMLElement, measure: (element: HTMLElement) => T): T {
  const [measured, setMeasured] = useState(() => measure(element));
  const store = useEditingStore();
  useEffect(() => {
    let frame = 0;
    const again = () => {
      if (frame === 0)
        frame = requestAnimationFrame(() => {
          frame = 0;
          setMeasured(measure(element));
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
  }, [element, measure, store]);
  return measured;
}
