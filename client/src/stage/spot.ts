import { create } from 'zustand';

/** A place on a page that is pointed out. */
export interface Spot {
  page: string;
  width: number;
  /** px from the page's top left. */
  x: number;
  y: number;
  /** How far the page is scrolled then, px; null where that does not matter. */
  scroll: number | null;
  says: string;
  /** The version of the site it was found at: the next one may have moved it. */
  version: number;
}

interface Spots {
  spot: Spot | null;
  point: (spot: Spot | null) => void;
}

/** What is pointed out on the stage, in this window. */
export const useSpot = create<Spots>((set) => ({ spot: null, point: (spot) => set({ spot }) }));
