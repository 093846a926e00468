import { create } from 'zustand';
import { frameKey } from './boxes';

/** A box that a fill or a picture covers on a page. */
export interface FillBox {
  /** The class of what covers it. */
  name: string;
  page: string;
  /** Of the viewport, px. */
  at: number;
  width: number;
  height: number;
}

interface FillBoxes {
  /** By page and width: what was seen there last. */
  frames: Readonly<Record<string, readonly FillBox[]>>;
  seen: (page: string, at: number, boxes: readonly FillBox[]) => void;
  /** How many look at them: else no page is opened for their sake. */
  lookers: number;
  look: () => () => void;
  forget: () => void;
}

/** The boxes that pages on the stage gave to fills and pictures, in this window. */
export const useFillBoxes = create<FillBoxes>((set) => ({
  frames: {},
  seen: (page, at, boxes) =>
    set((s) => {
      const key = frameKey(page, at);
      return JSON.stringify(s.frames[key]) === JSON.stringify(boxes) ? s : { frames: { ...s.frames, [key]: boxes } };
    }),
  lookers: 0,
  look: () => {
    set((s) => ({ lookers: s.lookers + 1 }));
    return () => set((s) => ({ lookers: s.lookers - 1 }));
  },
  forget: () => set({ frames: {} }),
}));

/** Of each width the first box that one of some classes covers, in the order of the pages. */
export function boxesAt(
  frames: Readonly<Record<string, readonly FillBox[]>>,
  names: readonly string[],
  pages: readonly { id: string }[],
  widths: readonly number[],
): (FillBox | undefined)[] {
  return widths.map((at) => pages.flatMap((page) => frames[frameKey(page.id, at)] ?? []).find((box) => names.includes(box.name)));
}
