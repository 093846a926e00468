import type { CatalogueView, LookView, PartView, Schemas } from '../../api/client';
import { partOf } from '../../site/catalogue';
import { nearest } from '../walk';

type Slot = Schemas['SlotView'];

/** A slot of a block as it stands on a page, to be written in. */
export interface Place {
  element: HTMLElement;
  block: string;
  slot: Slot;
  part: PartView;
}

const WRITTEN = ['text', 'list', 'table'];

/** What can be written around an element of a page, else the first within it. */
export function placeAt(target: Element, catalogue: CatalogueView, looks: readonly LookView[]): Place | null {
  const around = target.closest<HTMLElement>('[data-slot]');
  for (const element of around ? [around] : target.querySelectorAll<HTMLElement>('[data-slot]')) {
    const block = element.closest<HTMLElement>('[data-block]');
    const part = block && partOf(catalogue, nearest(block, looks)?.look.part ?? '');
    const slot = part?.slots.find((s) => s.id === element.dataset.slot);
    if (block?.dataset.block && part && slot && WRITTEN.includes(slot.kind)) return { element, block: block.dataset.block, slot, part };
  }
  return null;
}

/** What can be written in a block, where it stands on the page. */
export function placeOf(page: Document, block: string, catalogue: CatalogueView, looks: readonly LookView[]): Place | null {
  const element = page.querySelector(`[data-block="${CSS.escape(block)}"]`);
  return element && placeAt(element, catalogue, looks);
}

/** Whether a slot's text runs on from block to block. */
export const runsOn = ({ part, slot }: Place): boolean => part.running === slot.id;

/** A list can stand as several elements beside each other: all of them are its text. */
export const elementsOf = ({ element, block, slot }: Place): HTMLElement[] =>
  slot.kind === 'list'
    ? [...(element.parentElement?.children ?? [])].filter(
        (e): e is HTMLElement =>
          e instanceof (e.ownerDocument.defaultView as Window & typeof globalThis).HTMLElement && e.dataset.block === block,
      )
    : [element];

/** What stands in the slot, as HTML. */
export const htmlOf = (place: Place): string =>
  place.slot.kind === 'text'
    ? place.element.innerHTML
    : elementsOf(place)
        .map((e) => e.outerHTML)
        .join('');
