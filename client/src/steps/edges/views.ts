/** The views of the step that list a kind of thing. */
export const LISTS = [
  { value: 'borders', label: 'Borders', kind: 'border', one: 'Border' },
  { value: 'radii', label: 'Radii', kind: 'radius', one: 'Radius' },
  { value: 'shadows', label: 'Shadows', kind: 'shadow', one: 'Shadow' },
  { value: 'durations', label: 'Durations', kind: 'duration', one: 'Duration' },
  { value: 'easings', label: 'Easings', kind: 'easing', one: 'Easing' },
] as const;

/** All views: the lists, and how much of each page wears a border. */
export const VIEWS = [...LISTS, { value: 'worn', label: 'Worn' }] as const;
