import type { Schemas } from '../../api/client';

type Bundled = Schemas['BundledFamilyView'];

export const SORTS = [
  { value: 'class', label: 'by class' },
  { value: 'name', label: 'by name' },
  { value: 'xHeight', label: 'by x-height' },
] as const;

export interface ShelfFilter {
  class: Bundled['class'] | 'all';
  /** A weight it must have; 0 for any. */
  weight: number;
  /** Whether it must have italics. */
  italic: boolean;
  /** Tag of an axis it must have; empty for any. */
  axis: string;
  /** A language it must have all letters of; empty for any. */
  language: string;
  /** Part of its name. */
  search: string;
  sort: (typeof SORTS)[number]['value'];
}

/** The families that are asked for, in the order that is asked for; the shelf itself stands by class. */
export function filtered(all: readonly Bundled[], { class: only, weight, italic, axis, language, search, sort }: ShelfFilter): Bundled[] {
  const name = search.trim().toLowerCase();
  const kept = all.filter(
    (f) =>
      (only === 'all' || f.class === only) &&
      (weight === 0 || f.files.some((file) => file.from <= weight && weight <= file.to)) &&
      (!italic || f.hasItalics) &&
      (axis === '' || f.axes.some((a) => a.tag === axis)) &&
      (language === '' || f.languages.includes(language)) &&
      f.name.toLowerCase().includes(name),
  );
  if (sort === 'name') return kept.sort((a, b) => a.name.localeCompare(b.name));
  return sort === 'xHeight' ? kept.sort((a, b) => b.xHeight - a.xHeight) : kept;
}
