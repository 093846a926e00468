/** What the space between two elements of a stack is made from: custom properties of the second of them. */
export const BEFORE = '--space-before';
export const ABOVE = '--space-above';
export const GAP = '--stack-gap';

/** What a margin follows. */
export interface Counting {
  name: string;
  /** What the margin is beyond it, px: where several add up. */
  beyond: number;
  /** The least the margin becomes by it alone, px. */
  least: number;
}

/** Larger than any margin, px. */
const FAR = 100_000;

/** Which of some properties the margin above an element follows just now; null where none of them moves it. The one that makes it as large as it is comes first. */
export function countingOf(element: HTMLElement, names: readonly string[]): Counting | null {
  const now = marginOf(element);
  const all = names.map((name) => ({ name, least: marginIf(element, name, 0), far: marginIf(element, name, FAR) }));
  const counts = all.find(({ least }) => least < now) ?? all.find(({ far }) => far > now);
  return counts ? { name: counts.name, beyond: counts.far - FAR, least: counts.least } : null;
}

/** The margin there would be if one of what it is made from were so many px: tried on the element itself, between two pictures. */
function marginIf(element: HTMLElement, name: string, px: number): number {
  const own = element.style.getPropertyValue(name);
  element.style.setProperty(name, `${px}px`);
  const margin = marginOf(element);
  if (own) element.style.setProperty(name, own);
  else element.style.removeProperty(name);
  return margin;
}

const marginOf = (element: HTMLElement): number =>
  parseFloat(element.ownerDocument.defaultView?.getComputedStyle(element).marginBlockStart ?? '') || 0;
