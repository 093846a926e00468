import type { LookView } from '../api/client';

/** An element of a page that has a look. */
export interface Styled {
  element: HTMLElement;
  look: LookView;
}

/** The nearest element around a place that some look is for. */
export function nearest(target: Element | null, looks: readonly LookView[]): Styled | null {
  for (let element = target; element; element = element.parentElement) {
    const styled = styledAs(element, looks);
    if (styled) return styled;
  }
  return null;
}

/**
 * Where an arrow key leads from an element: right and left to the next and the one before on the page, up to the one around it, down to the first within it.
 * @returns null where there is nothing in that direction; undefined where the key leads nowhere at all
 */
export function walk(page: Document, looks: readonly LookView[], from: HTMLElement | null, key: string): Styled | null | undefined {
  const within = (root: ParentNode) =>
    [...root.querySelectorAll<HTMLElement>('*')].map((e) => styledAs(e, looks)).filter((s) => s !== null);
  switch (key) {
    case 'ArrowRight':
    case 'ArrowLeft': {
      const all = within(page.body);
      const here = all.findIndex((s) => s.element === from);
      return (key === 'ArrowRight' ? all[here + 1] : here < 0 ? all.at(-1) : all[here - 1]) ?? null;
    }
    case 'ArrowUp':
      return nearest(from?.parentElement ?? null, looks);
    case 'ArrowDown':
      return within(from ?? page.body)[0] ?? null;
    default:
      return undefined;
  }
}

/** An element as something some look is for; null where none is. */
export function styledAs(element: Element, looks: readonly LookView[]): Styled | null {
  const look = looks.find((l) => l.selector !== '' && element.matches(l.selector));
  return look ? { element: element as HTMLElement, look } : null;
}
