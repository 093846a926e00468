import { create } from 'zustand';
import type { Edit } from '../api/client';

/** A way something could be. */
export interface Candidate {
  /** What is chosen it by. */
  key: string;
  /** What it is called. */
  name: string;
  /** What it would be made by; null for as it is. */
  edit: Edit | null;
}

export interface Comparison {
  /** A family or a text style. */
  of: 'family' | 'textStyle';
  id: string;
  /** The two that stand beside each other, left and right. */
  pair: readonly [Candidate, Candidate];
}

interface Candidates {
  comparison: Comparison | null;
  compare: (comparison: Comparison) => void;
  /** Puts another in a place. */
  choose: (place: 0 | 1, candidate: Candidate) => void;
  /** Left becomes right. */
  swap: () => void;
  end: () => void;
}

/** As it is now. */
export const AS_IT_IS = '';

/** Two candidates that stand beside each other on the stage; of this window, not of the site. */
export const useCandidates = create<Candidates>((set) => ({
  comparison: null,
  compare: (comparison) => set({ comparison }),
  choose: (place, candidate) =>
    set(({ comparison }) =>
      comparison
        ? { comparison: { ...comparison, pair: place === 0 ? [candidate, comparison.pair[1]] : [comparison.pair[0], candidate] } }
        : {},
    ),
  swap: () =>
    set(({ comparison }) => (comparison ? { comparison: { ...comparison, pair: [comparison.pair[1], comparison.pair[0]] } } : {})),
  end: () => set({ comparison: null }),
}));
