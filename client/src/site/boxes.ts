import { create } from 'zustand';
import type { Schemas } from '../api/client';

export type MeasuredBox = Schemas['MeasuredBox'];

interface Boxes {
  /** By page and width: what was measured there last. */
  frames: Readonly<Record<string, readonly MeasuredBox[]>>;
  measured: (frame: string, boxes: readonly MeasuredBox[]) => void;
  forget: () => void;
}

/** The boxes of text that frames of the stage measured, in this window. */
export const useBoxes = create<Boxes>((set) => ({
  frames: {},
  measured: (frame, boxes) =>
    set((s) => (JSON.stringify(s.frames[frame]) === JSON.stringify(boxes) ? s : { frames: { ...s.frames, [frame]: boxes } })),
  forget: () => set({ frames: {} }),
}));

/** What a frame is called by: its page and the width of its viewport. */
export const frameKey = (page: string, width: number) => `${page} ${width}`;

/** Of each style at each width the widest, on pages that are there. */
export function widest(frames: Readonly<Record<string, readonly MeasuredBox[]>>, pages: readonly { id: string }[]): MeasuredBox[] {
  const found = new Map<string, MeasuredBox>();
  const there = Object.entries(frames).filter(([key]) => pages.some((page) => key.startsWith(frameKey(page.id, 0).slice(0, -1))));
  for (const box of there.flatMap(([, boxes]) => boxes)) {
    const key = `${box.style} ${box.width}`;
    const before = found.get(key);
    if (!before || before.inline < box.inline) found.set(key, box);
  }
  return [...found.values()].sort((a, b) => a.style.localeCompare(b.style) || a.width - b.width);
}
