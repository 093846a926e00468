import { isAtStart, putCaret, rangeIn } from './caret';

const itemAt = (element: HTMLElement): HTMLElement | null => {
  const node = rangeIn(element)?.startContainer;
  const found = (node?.nodeType === Node.ELEMENT_NODE ? (node as Element) : node?.parentElement)?.closest<HTMLElement>('li') ?? null;
  return found && element.contains(found) ? found : null;
};

/** The letters of an item without the lists in it. */
const ownText = (item: HTMLElement): string =>
  [...item.childNodes]
    .filter((n) => !isList(n))
    .map((n) => n.textContent ?? '')
    .join('')
    .trim();

const isList = (node: Node): boolean => node.nodeName === 'UL' || node.nodeName === 'OL';

/** What Enter does in a list: an item ends and another begins. Null where the caret stands in an empty item of the list itself, which Enter leaves. */
export function nextItem(list: HTMLElement): HTMLElement | null {
  const [item, range] = [itemAt(list), rangeIn(list)];
  if (!item || !range) return null;
  if (ownText(item) === '') {
    if (item.parentElement === list) return null;
    outdent(list);
    return item;
  }
  const page = list.ownerDocument;
  range.deleteContents();
  const rest = page.createRange();
  rest.setStart(range.startContainer, range.startOffset);
  rest.setEnd(item, item.childNodes.length);
  const fresh = page.createElement('li');
  fresh.append(rest.extractContents());
  item.after(fresh);
  putCaret(fresh, 0);
  return fresh;
}

/** Puts an item into the one before it. Returns whether there is one. */
export function indent(list: HTMLElement): boolean {
  const item = itemAt(list);
  const before = item?.previousElementSibling as HTMLElement | null;
  if (!item || !before) return false;
  const kept = keepCaret(list);
  const inner =
    [...before.children].reverse().find(isList) ??
    before.appendChild(list.ownerDocument.createElement(item.parentElement?.localName ?? 'ul'));
  inner.append(item);
  kept();
  return true;
}

/** Takes an item out of the one it stands in; those after it come along within it. Returns whether it stands in one. */
export function outdent(list: HTMLElement): boolean {
  const item = itemAt(list);
  const inner = item?.parentElement;
  const around = inner?.parentElement;
  if (!item || !inner || inner === list || around?.localName !== 'li') return false;
  const kept = keepCaret(list);
  const after: Element[] = [];
  for (let next = item.nextElementSibling; next; next = next.nextElementSibling) after.push(next);
  if (after.length > 0) {
    const own = [...item.children].find(isList) ?? item.appendChild(list.ownerDocument.createElement(inner.localName));
    own.append(...after);
  }
  around.after(item);
  if (inner.children.length === 0) inner.remove();
  kept();
  return true;
}

/** What Backspace does at the start of an item: out of the one around it, or joined to the one before. Returns whether it did anything. */
export function joinItem(list: HTMLElement): boolean {
  const item = itemAt(list);
  if (!item || !isAtStart(item)) return false;
  if (outdent(list)) return true;
  const before = item.previousElementSibling as HTMLElement | null;
  if (!before) return false;
  const deepest = [...before.querySelectorAll('li')].at(-1) ?? before;
  const firstList = [...deepest.childNodes].find(isList) ?? null;
  // What stands before the lists in an item is indented in the page's source.
  const last = firstList ? firstList.previousSibling : deepest.lastChild;
  if (last?.nodeType === Node.TEXT_NODE) (last as Text).data = (last as Text).data.trimEnd();
  const length = ownText(deepest).length;
  const lists = [...item.childNodes].filter(isList);
  for (const node of [...item.childNodes].filter((n) => !isList(n))) deepest.insertBefore(node, firstList);
  deepest.append(...lists);
  item.remove();
  putCaret(deepest, length);
  return true;
}

/** The list up to an empty item it is left at, and what comes after that. */
export function leaveAt(list: HTMLElement): { before: string; after: string } | null {
  const item = itemAt(list);
  if (!item) return null;
  const items = [...list.children];
  const at = items.indexOf(item);
  const part = (some: Element[]) => {
    const copy = list.cloneNode(false) as HTMLElement;
    copy.append(...some.map((e) => e.cloneNode(true)));
    return some.length === 0 ? '' : copy.outerHTML;
  };
  return { before: part(items.slice(0, at)), after: part(items.slice(at + 1)) };
}

/** Brings the caret to the next cell of a table or the one before; after the last one a row is added. */
export function stepCell(table: HTMLElement, way: 'next' | 'before' | 'down'): void {
  const node = rangeIn(table)?.startContainer;
  const cell = (node?.nodeType === Node.ELEMENT_NODE ? (node as Element) : node?.parentElement)?.closest<HTMLTableCellElement>('td, th');
  if (!cell) return;
  const cells = [...table.querySelectorAll<HTMLTableCellElement>('td, th')];
  const row = cell.parentElement as HTMLTableRowElement;
  const at = cells.indexOf(cell);
  let next = cells[way === 'before' ? at - 1 : way === 'next' ? at + 1 : at + row.cells.length];
  if (!next && way !== 'before') {
    const fresh = row.cloneNode(true) as HTMLTableRowElement;
    for (const one of fresh.cells) one.textContent = '';
    (row.closest('table')?.querySelector('tbody') ?? row.parentElement)?.append(fresh);
    next = fresh.cells[way === 'next' ? 0 : cell.cellIndex];
  }
  if (!next) return;
  next.focus({ preventScroll: true });
  putCaret(next, -1);
}

/** Items move, and what stands in them stays what it is: the caret is put back where it was. */
function keepCaret(list: HTMLElement): () => void {
  const range = rangeIn(list);
  const [node, at] = [range?.startContainer, range?.startOffset ?? 0];
  return () => {
    if (node?.isConnected) list.ownerDocument.getSelection()?.collapse(node, at);
  };
}
