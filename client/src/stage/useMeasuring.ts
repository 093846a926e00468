import { useEffect } from 'react';
import { frameKey, useBoxes } from '../site/boxes';
import { useEditing } from '../site/editingContext';
import { useFillBoxes } from '../site/fillBoxes';
import { useMeasuredPages } from '../site/measuredPages';
import { borderBoxes } from './borderBoxes';
import { fillBoxesOn } from './fillBoxesOn';
import { textBoxes } from './textBoxes';
import { SPECIMEN } from './view';

/** How long the page rests before it is measured, ms: the hand has been followed by then. */
const REST = 300;

/** Measures the boxes of text of a page, and what wears a border where that is asked for, once it shows what is stored. */
export function useMeasuring(document: Document | null, page: string, width: number, contents: number): void {
  const version = useEditing((e) => e.site.version);
  const wearers = useEditing((e) => e.site.type.wearers);
  const first = useEditing((e) => e.site.type.styles[0]?.id ?? '');
  const isTrying = useEditing((e) => e.trial !== null || e.before !== null);
  const measured = useBoxes((b) => b.measured);
  const measuredPage = useMeasuredPages((m) => m.measured);
  const isWanted = useMeasuredPages((m) => m.isWanted);
  const seen = useFillBoxes((b) => b.seen);
  useEffect(() => {
    // The specimen shows parts, not how the site uses them.
    if (!document || isTrying || page === SPECIMEN.id) return;
    const timer = window.setTimeout(() => {
      void document.fonts.ready.then(() => {
        if (!document.defaultView) return;
        measured(frameKey(page, width), textBoxes(document, wearers, first, width));
        seen(page, width, fillBoxesOn(document, page, width));
        if (isWanted) measuredPage(borderBoxes(document, page, width));
      });
    }, REST);
    return () => window.clearTimeout(timer);
  }, [document, page, width, contents, version, wearers, first, isTrying, measured, measuredPage, isWanted, seen]);
}
