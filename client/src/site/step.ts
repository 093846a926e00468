import type { ComponentType } from 'react';
import type { CatalogueView, SiteView } from '../api/client';

/** The three moves of the course. */
export const MOVES = ['Decide', 'Apply', 'Hold'] as const;
export type Move = (typeof MOVES)[number];

/** Somewhere in a site that can be jumped to. */
export interface Place {
  name: string;
  /** What kind of thing it is, and where it belongs. */
  where: string;
  /** The step it is in; null for what the stage shows whatever the step. */
  step: string | null;
  params: Record<string, string>;
  /** What it does instead of leading somewhere. */
  act?: () => void;
}

/** A step of the course: one folder each, and nothing of it is loaded before it is gone to. */
export interface Step {
  id: string;
  name: string;
  move: Move;
  load: () => Promise<{ default: ComponentType }>;
  /** Where Find leads within it. */
  places: (site: SiteView, catalogue: CatalogueView) => Place[];
}
