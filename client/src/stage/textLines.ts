import type { Schemas } from '../api/client';
import type { Viewport } from './view';

export type MeasuredTexts = Schemas['MeasuredTexts'];
type Box = Schemas['MeasuredBoxOnPage'];

/** The most lines of one text that are told of one by one. */
const MOST_LINES = 100;

/** Where the texts of a page lie, line by line, with the boxes of all that is around them. */
export function textLines(document: Document, page: string, { width, height }: Viewport): MeasuredTexts {
  const view = document.defaultView as Window;
  const numbers = blockNumbers(document);
  const elements: MeasuredTexts['elements'] = [];
  const known = new Map<Element, number>();
  const add = (element: Element): number => {
    const before = known.get(element);
    if (before !== undefined) return before;
    const around = element.parentElement ? add(element.parentElement) : -1;
    const { block = '', at = 0 } = numbers.get(element) ?? {};
    known.set(element, elements.length);
    return (
      elements.push({
        around,
        block,
        at,
        box: onPage(element.getBoundingClientRect(), view),
        inner: withinBorders(element, view),
        lines: [],
        lights: lightsBehind(element, view),
      }) - 1
    );
  };
  const take = (element: Element, boxes: readonly Box[]) => {
    if (boxes.length === 0 || !numbers.has(element)) return;
    const lines = elements[add(element)]?.lines;
    lines?.push(...boxes.slice(0, MOST_LINES - lines.length));
  };
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  const range = document.createRange();
  for (let text = texts.nextNode(); text; text = texts.nextNode()) {
    if (!text.nodeValue?.trim() || !text.parentElement) continue;
    range.selectNodeContents(text);
    take(
      text.parentElement,
      [...range.getClientRects()].map((r) => onPage(r, view)),
    );
  }
  for (const field of document.body.querySelectorAll('input, textarea, select')) {
    const box = withinBorders(field, view);
    if (box.width > 0 && box.height > 0) take(field, [box]);
  }
  return { page, width, height, length: document.documentElement.scrollHeight, elements };
}

/** Where the layers behind an element lie that go where a text is. */
function lightsBehind(element: Element, view: Window): Schemas['MeasuredLight'][] {
  return [...element.querySelectorAll<HTMLElement>(':scope > .fill-follows > div')]
    .filter((layer) => layer.getClientRects().length > 0 && view.getComputedStyle(layer).position === 'fixed')
    .map((layer) => ({
      fill: [...(layer.parentElement as Element).classList].find((c) => c !== 'fill' && c !== 'fill-follows') ?? '',
      at: [...(layer.parentElement as Element).children].indexOf(layer),
      box: onPage(layer.getBoundingClientRect(), view),
    }));
}

/** Of each element that a block is made of, which one: blocks inside are made of their own. */
function blockNumbers(document: Document): Map<Element, { block: string; at: number }> {
  const numbers = new Map<Element, { block: string; at: number }>();
  const seen = new Set<string>();
  for (const own of document.querySelectorAll<HTMLElement>('[data-block]')) {
    const block = own.dataset.block ?? '';
    if (seen.has(block)) continue;
    seen.add(block);
    let at = 0;
    const count = (element: Element) => {
      numbers.set(element, { block, at: at++ });
      for (const inner of element.children) if (!inner.hasAttribute('data-block')) count(inner);
    };
    count(own);
  }
  return numbers;
}

function withinBorders(element: Element, view: Window): Box {
  const box = element.getBoundingClientRect();
  const style = view.getComputedStyle(element);
  const [left, right, top, bottom] = ['left', 'right', 'top', 'bottom'].map(
    (side) => parseFloat(style.getPropertyValue(`border-${side}-width`)) || 0,
  );
  return onPage(
    {
      left: box.left + (left ?? 0),
      top: box.top + (top ?? 0),
      width: Math.max(0, box.width - (left ?? 0) - (right ?? 0)),
      height: Math.max(0, box.height - (top ?? 0) - (bottom ?? 0)),
    },
    view,
  );
}

function onPage({ left, top, width, height }: Pick<DOMRect, 'left' | 'top' | 'width' | 'height'>, view: Window): Box {
  return { left: left + view.scrollX, top: top + view.scrollY, width, height };
}
