import { create } from 'zustand';
import type { Schemas } from '../api/client';
import { frameKey } from './boxes';

export type MeasuredPage = Schemas['MeasuredPage'];

interface Measured {
  /** By page and width: what was measured there last. */
  pages: Readonly<Record<string, MeasuredPage>>;
  measured: (page: MeasuredPage) => void;
  /** Whether anyone looks: else nothing is measured. */
  isWanted: boolean;
  want: (isWanted: boolean) => void;
  forget: () => void;
}

/** The pages that frames of the stage measured, in this window. */
export const useMeasuredPages = create<Measured>((set) => ({
  pages: {},
  measured: (page) =>
    set((s) => {
      const key = frameKey(page.page, page.width);
      return JSON.stringify(s.pages[key]) === JSON.stringify(page) ? s : { pages: { ...s.pages, [key]: page } };
    }),
  isWanted: false,
  want: (isWanted) => set({ isWanted }),
  forget: () => set({ pages: {} }),
}));
