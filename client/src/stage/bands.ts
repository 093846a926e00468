export interface Sides {
  top: number;
  right: number;
  bottom: number;
  left: number;
}

/** A box as the browser laid it out, in CSS px of its page. */
export interface Box extends Sides {
  width: number;
  height: number;
  border: Sides;
  padding: Sides;
  margin: Sides;
}

export interface Band {
  kind: 'margin' | 'padding' | 'gap';
  /** The side it lies at; of a gap top for one between what stands below another, left for one between what stands side by side. */
  side: keyof Sides;
  left: number;
  top: number;
  width: number;
  height: number;
  /** Of a gap which of the boxes comes after it. */
  after?: number;
}

/** The size of a band, with the middle of where it stands. */
export interface Figure {
  kind: Band['kind'];
  text: string;
  x: number;
  y: number;
}

const NONE: Sides = { top: 0, right: 0, bottom: 0, left: 0 };
const SIDES = ['top', 'right', 'bottom', 'left'] as const;

/** What a figure takes on the screen, px. */
const FIGURE = { width: 28, height: 15 };

/** Margins lie around the border box, paddings within its border; those at the sides stand between those above and below. */
export function bandsOf(box: Box): Band[] {
  return (['margin', 'padding'] as const).flatMap((kind) => {
    const outside = kind === 'margin';
    const sides = box[kind];
    const edge = outside ? NONE : box.border;
    const inner = {
      left: box.left + edge.left,
      top: box.top + edge.top,
      right: box.left + box.width - edge.right,
      bottom: box.top + box.height - edge.bottom,
    };
    return SIDES.filter((side) => sides[side] > 0).map((side): Band => {
      const size = sides[side];
      const across = side === 'top' || side === 'bottom';
      const [above, below] = outside || across ? [0, 0] : [sides.top, sides.bottom];
      return {
        kind,
        side,
        left: side === 'left' ? inner.left - (outside ? size : 0) : side === 'right' ? inner.right - (outside ? 0 : size) : inner.left,
        top:
          side === 'top' ? inner.top - (outside ? size : 0) : side === 'bottom' ? inner.bottom - (outside ? 0 : size) : inner.top + above,
        width: across ? inner.right - inner.left : size,
        height: across ? size : inner.bottom - inner.top - above - below,
      };
    });
  });
}

/** A rectangle in CSS px of its page. */
export interface Rectangle {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** Less than this is no gap, px. */
const LEAST_GAP = 0.5;

/**
 * The gaps between boxes that follow each other, below one another or side by side.
 * @param around what they stand in: gaps run across all of it
 */
export function gapsBetween(boxes: readonly Rectangle[], around: Rectangle): Band[] {
  return boxes.slice(1).flatMap((next, i): Band[] => {
    const after = i + 1;
    const before = boxes[i] as Rectangle;
    if (next.top - before.bottom >= LEAST_GAP) {
      const { left, right } = around;
      return [{ kind: 'gap', side: 'top', left, top: before.bottom, width: right - left, height: next.top - before.bottom, after }];
    }
    if (next.left - before.right < LEAST_GAP || next.top >= before.bottom) return [];
    const [top, bottom] = [Math.min(before.top, next.top), Math.max(before.bottom, next.bottom)];
    return [{ kind: 'gap', side: 'left', left: before.right, top, width: next.left - before.right, height: bottom - top, after }];
  });
}

/**
 * The figures of bands: within a band that has the room, and else beside the box, where they cover none of its letters; those that would meet stand one after the other.
 * @param scale screen px for one px of the page
 * @param view how much of the page is seen, in its px
 */
export function figuresOf(box: Box, bands: readonly Band[], scale: number, view: { width: number; height: number }): Figure[] {
  const [width, height] = [FIGURE.width / scale, FIGURE.height / scale];
  const right = box.left + box.width + box.margin.right;
  const bottom = box.top + box.height + box.margin.bottom;
  // Beside: to the right of the box, or to its left where the page ends; below it, or above where the page ends.
  const x = right + width <= view.width ? right + width / 2 : box.left - box.margin.left - width / 2;
  const y = bottom + height <= view.height ? bottom + height / 2 : box.top - box.margin.top - height / 2;
  const taken = { right: -Infinity, below: -Infinity };
  return [...bands]
    .sort((a, b) => a.top + a.height / 2 - (b.top + b.height / 2) || a.left - b.left)
    .map(({ kind, side, ...band }) => {
      const middle = { x: band.left + band.width / 2, y: band.top + band.height / 2 };
      const across = side === 'top' || side === 'bottom';
      const text = String(Math.round((across ? band.height : band.width) * 10) / 10);
      if (band.width >= width && band.height >= height) return { kind, text, ...middle };
      if (across) {
        taken.right = Math.max(middle.y, taken.right + height);
        return { kind, text, x, y: taken.right };
      }
      taken.below = Math.max(middle.x, taken.below + width);
      return { kind, text, x: taken.below, y };
    });
}
