import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';

/** Where the focus goes when something was jumped to: the step's panel, or the stage. */
export interface Arrival {
  arrive: 'panel' | 'stage';
}

/** For what takes the focus when it is jumped to, unless something within has it by then. */
export function useArrival<T extends HTMLElement>(at: Arrival['arrive']) {
  const place = useRef<T>(null);
  const location = useLocation();
  const arrives = (location.state as Arrival | null)?.arrive === at;
  useEffect(() => {
    if (!arrives) return;
    // Once the dialog that led here has given the focus back.
    const later = window.setTimeout(() => {
      if (!place.current?.contains(document.activeElement)) place.current?.focus();
    });
    return () => window.clearTimeout(later);
  }, [arrives, location.key]);
  return place;
}
