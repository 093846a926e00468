import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { useEditing, useEditingStore } from '../../site/editingContext';
import type { FrameContent } from '../content';
import { placeAt, placeOf, type Place } from './place';
import { Writer, type Next } from './writer';

interface Options {
  loaded: { document: Document; content: FrameContent } | null;
  frame: RefObject<HTMLIFrameElement | null>;
  /** Whether this frame is written in at all. */
  enabled: boolean;
  /** Shows what is stored. */
  follow: () => void;
  /** Writing has begun in an element. */
  onBegin: (element: HTMLElement) => void;
}

/** Writing on a page of the stage: begun by a double click or by Enter, ended by Escape or by going elsewhere. */
export function useWriting({ loaded, frame, enabled, follow, onBegin }: Options) {
  const store = useEditingStore();
  const catalogue = useEditing((e) => e.catalogue);
  const looks = useEditing((e) => e.site.looks);
  const [writer, setWriter] = useState<Writer | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [isLinking, setLinking] = useState(false);
  const now = useRef<Writer | null>(null);
  const next = useRef<Next | null>(null);
  const bar = useRef<HTMLDivElement>(null);

  const begin = useCallback(
    (place: Place, caret: number | null, told: string | null = null, typed = '') => {
      if (!loaded || !enabled) return;
      now.current?.end();
      const fresh = new Writer(
        place,
        {
          page: loaded.document,
          content: loaded.content,
          store,
          onNext: (goesOn) => {
            next.current = goesOn;
          },
          onEnd: () => {
            now.current = null;
            next.current = null;
            setWriter(null);
            setLinking(false);
            // What is on its way is shown once it is there.
            if (!store.getState().typed[fresh.key]) follow();
          },
          onSay: setSaid,
          onLeave: () => frame.current?.closest<HTMLElement>('.stage-room')?.focus({ preventScroll: true }),
          onLink: () => setLinking(true),
          passOn: (event) => frame.current?.dispatchEvent(new KeyboardEvent(event.type, event)),
        },
        caret,
        typed,
      );
      now.current = fresh;
      setSaid(told);
      setWriter(fresh);
      onBegin(place.element);
    },
    [loaded, enabled, store, follow, frame, onBegin],
  );

  /** Begins where an element can be written in; with no caret at what is selected there. */
  const write = useCallback(
    (element: Element, caret: number | null): boolean => {
      const place = placeAt(element, catalogue, looks);
      if (!place || place.element === now.current?.place.element) return false;
      begin(place, caret);
      return true;
    },
    [begin, catalogue, looks],
  );

  // Writing goes on where a change led, at the very moment the page shows it: the next key may be on its way.
  const goOn = useCallback(() => {
    const wanted = next.current;
    if (!loaded || !wanted) return;
    const block = wanted.find(loaded.document);
    const place = block === null ? null : placeOf(loaded.document, block, catalogue, looks);
    if (place) begin(place, wanted.caret, wanted.said, wanted.typed());
    else if (!now.current?.place.element.isConnected) now.current?.end();
  }, [loaded, begin, catalogue, looks]);

  useEffect(() => {
    if (!loaded) return;
    const page = loaded.document;
    const onDoubleClick = (event: MouseEvent) => {
      if (write(event.target as Element, null)) event.preventDefault();
    };
    // The bar of what is written is no other place.
    const onPress = (event: MouseEvent) => {
      if (now.current && !now.current.place.element.contains(event.target as Node)) now.current.end();
    };
    page.addEventListener('dblclick', onDoubleClick);
    page.addEventListener('mousedown', onPress, true);
    return () => {
      page.removeEventListener('dblclick', onDoubleClick);
      page.removeEventListener('mousedown', onPress, true);
    };
  }, [loaded, write]);

  // Elsewhere in the window is elsewhere too.
  useEffect(() => {
    if (!writer) return;
    const onFocus = (event: FocusEvent) => {
      const target = event.target as Element;
      if (target === frame.current || bar.current?.contains(target) || target.closest('.ant-select-dropdown')) return;
      now.current?.end();
    };
    document.addEventListener('focusin', onFocus);
    return () => document.removeEventListener('focusin', onFocus);
  }, [writer, frame]);

  useEffect(() => () => now.current?.end(), [loaded]);

  return { writer, said, isLinking, setLinking, bar, write, goOn };
}
