/** Where the caret stands in an element, in letters from its start; null where it is elsewhere. */
export function caretIn(element: HTMLElement): number | null {
  const range = rangeIn(element);
  if (!range) return null;
  const before = element.ownerDocument.createRange();
  before.setStart(element, 0);
  before.setEnd(range.startContainer, range.startOffset);
  return before.toString().length;
}

/** Where the caret stands by its line: a paragraph, an item of a list or a cell. */
export interface Spot {
  line: number;
  /** In letters from the start of the line. */
  at: number;
}

/** The lines of an element: the items and cells in it, or itself. */
function linesOf(element: HTMLElement): HTMLElement[] {
  const lines = [...element.querySelectorAll<HTMLElement>('li, td, th')];
  return lines.length > 0 ? lines : [element];
}

/** Where the caret stands in an element, so that it is found again once that is drawn anew. */
export function spotIn(element: HTMLElement): Spot | null {
  const range = rangeIn(element);
  if (!range) return null;
  const lines = linesOf(element);
  const line = lines.findLastIndex((l) => l.contains(range.startContainer));
  return line < 0 ? null : { line, at: caretIn(lines[line] as HTMLElement) ?? 0 };
}

export function putSpot(element: HTMLElement, { line, at }: Spot): void {
  const lines = linesOf(element);
  putCaret(lines[Math.min(line, lines.length - 1)] ?? element, at);
}

/** What an element says line by line, whatever spaces a hand or an indentation left at the ends. */
export const saidIn = (element: HTMLElement): string =>
  linesOf(element)
    .map((line) => {
      const own = line.cloneNode(true) as HTMLElement;
      for (const inner of own.querySelectorAll('ul, ol')) inner.remove();
      return (own.textContent ?? '').replace(/\s+/g, ' ').trim();
    })
    .join('\n');

/** What is selected in an element; null where that is elsewhere. */
export function rangeIn(element: HTMLElement): Range | null {
  const selection = element.ownerDocument.getSelection();
  if (!selection || selection.rangeCount === 0) return null;
  const range = selection.getRangeAt(0);
  return element.contains(range.commonAncestorContainer) ? range : null;
}

/** Puts the caret so many letters from the start of an element; below zero from its end. */
export function putCaret(element: HTMLElement, at: number): void {
  const length = element.textContent?.length ?? 0;
  let left = Math.max(0, Math.min(length, at < 0 ? length + at + 1 : at));
  const walker = element.ownerDocument.createTreeWalker(element, NodeFilter.SHOW_TEXT);
  let node = walker.nextNode() as Text | null;
  while (node && left > node.data.length) {
    left -= node.data.length;
    node = walker.nextNode() as Text | null;
  }
  const selection = element.ownerDocument.getSelection();
  if (node) selection?.collapse(node, left);
  else selection?.collapse(element, 0);
}

/** What stands in an element before what is selected, and after it, as HTML. */
export function around(element: HTMLElement): { before: string; after: string } | null {
  const range = rangeIn(element);
  if (!range) return null;
  const page = element.ownerDocument;
  const before = page.createRange();
  before.setStart(element, 0);
  before.setEnd(range.startContainer, range.startOffset);
  const after = page.createRange();
  after.setStart(range.endContainer, range.endOffset);
  after.setEnd(element, element.childNodes.length);
  return { before: htmlOf(before), after: htmlOf(after) };
}

/** Whether the caret stands at the start of an element, with nothing selected. */
export const isAtStart = (element: HTMLElement): boolean => rangeIn(element)?.collapsed === true && caretIn(element) === 0;

function htmlOf(range: Range): string {
  const holder = (range.startContainer.ownerDocument as Document).createElement('div');
  holder.append(range.cloneContents());
  return holder.innerHTML;
}
