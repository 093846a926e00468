/** The views of the step, each with the kind of thing it lists. */
export const VIEWS = [
  { value: 'borders', label: 'Borders', kind: 'border', one: 'Border' },
  { value: 'radii', label: 'Radii', kind: 'radius', one: 'Radius' },
  { value: 'shadows', label: 'Shadows', kind: 'shadow', one: 'Shadow' },
  { value: 'easings', label: 'Easings', kind: 'easing', one: 'Easing' },
] as const;
