import { useState, type PointerEvent } from 'react';
import { useEditing } from '../site/editingContext';
import { blockOf } from '../site/outline';
import { useDrag, useHeld } from '../values/useHeld';
import { cellAt } from './bandEdit';
import { leastHeight } from './leastHeight';
import type { Box } from './bands';

interface Props {
  /** Id of the block, and what it is called. */
  block: string;
  name: string;
  /** Of its setting. */
  property: string;
  box: Box;
  /** Of the window, px. */
  width: number;
  scale: number;
  /** The element on the page. */
  element: HTMLElement;
}

/** The lower edge of a band: dragged, it sets the band's own least height, down to what it holds and up to the window's. */
export function HeightGrip({ block, name, property, box, width, scale, element }: Props) {
  // The height it began with, whatever it is drawn at meanwhile.
  const [began, setBegan] = useState(box.height);
  // What it has of its own at this width already is what changes.
  const own = useEditing((e) => blockOf(e.site, block)?.own);
  const cell = cellAt(own ?? [], property, width);
  const held = useHeld<string>((text) => ({
    kind: 'setOwn',
    block,
    property,
    state: 'rest',
    from: cell?.from ?? null,
    below: cell?.below ?? null,
    text,
  }));
  const drag = useDrag<string>({
    held,
    at: (event: PointerEvent<HTMLElement>, start) => {
      const moved = (event.clientY - start.clientY) / scale;
      if (Math.abs(moved) < 1 && held.value === null) return null;
      return leastHeight(began + moved, contentOf(element, box), element.ownerDocument.defaultView?.innerHeight ?? 0, event.altKey);
    },
  });
  // The value stands in the panel, where it is typed: the stage's own picture of it is for the hand alone.
  return (
    <span
      className="height-grip"
      style={{ left: box.left, top: box.top + box.height, width: box.width, height: 8 / scale, marginTop: -4 / scale }}
      title={`Least height of ${name}`}
      {...drag.handlers}
      onPointerDown={(event) => {
        setBegan(box.height);
        drag.handlers.onPointerDown(event);
      }}
    />
  );
}

/** How high what it holds would make it, px. */
function contentOf(element: HTMLElement, { padding, border }: Box): number {
  const inner = [...element.children].reduce((sum, child) => sum + child.getBoundingClientRect().height, 0);
  return inner + padding.top + padding.bottom + border.top + border.bottom;
}
