/** The views of the step, each a list of a kind. */
export const VIEWS = [
  { value: 'gradients', label: 'Gradients', kind: 'gradient', one: 'Gradient' },
  { value: 'backgrounds', label: 'Backgrounds', kind: 'background', one: 'Background' },
  { value: 'pictures', label: 'Pictures', kind: 'picture', one: 'Picture' },
  { value: 'clips', label: 'Clips', kind: 'clip', one: 'Clip' },
] as const;
