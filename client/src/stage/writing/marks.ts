import type { Schemas } from '../../api/client';
import { rangeIn } from './caret';

type Run = Schemas['Run'];

export type Mark = 'strong' | 'em' | 'code';

/** The element of a mark around what is selected; null where there is none. */
export function markAround(element: HTMLElement, mark: Mark | 'a'): HTMLElement | null {
  const range = rangeIn(element);
  if (!range) return null;
  const node = range.commonAncestorContainer;
  const found = (node.nodeType === Node.ELEMENT_NODE ? (node as Element) : node.parentElement)?.closest<HTMLElement>(mark) ?? null;
  return found && found !== element && element.contains(found) ? found : null;
}

/** Gives what is selected a mark, or takes it off. Returns whether anything changed: nothing selected, or more than one item of a list, takes no mark. */
export function toggle(element: HTMLElement, mark: Mark): boolean {
  const range = rangeIn(element);
  if (!range || range.collapsed || !isOneLine(element, range)) return false;
  const page = element.ownerDocument;
  const marked = markAround(element, mark);
  const within = range.extractContents();
  for (const inner of within.querySelectorAll(mark)) inner.replaceWith(...inner.childNodes);
  const nodes = [...within.childNodes];
  if (marked) {
    // What stands after it in the same mark keeps it.
    const rest = page.createRange();
    rest.setStart(range.startContainer, range.startOffset);
    rest.setEndAfter(marked);
    const after = rest.extractContents();
    marked.after(...nodes, after);
    for (const left of [marked, nodes.at(-1)?.nextSibling as HTMLElement | null]) if (left?.textContent === '') left.remove();
  } else {
    const fresh = page.createElement(mark);
    fresh.append(...nodes);
    range.insertNode(fresh);
    nodes.splice(0, nodes.length, fresh);
  }
  tidy(element);
  select(element, nodes);
  return true;
}

/** Makes what is selected lead somewhere, or with null no more. */
export function link(element: HTMLElement, to: string | null, says: string): boolean {
  const known = markAround(element, 'a');
  if (known) {
    if (to === null) {
      const nodes = [...known.childNodes];
      known.replaceWith(...nodes);
      select(element, nodes);
    } else known.dataset.to = to;
    return true;
  }
  const range = rangeIn(element);
  if (!range || to === null || !isOneLine(element, range)) return false;
  const fresh = element.ownerDocument.createElement('a');
  fresh.href = '#';
  fresh.dataset.to = to;
  const within = range.extractContents();
  for (const inner of within.querySelectorAll('a')) inner.replaceWith(...inner.childNodes);
  if (within.textContent === '') fresh.textContent = says;
  else fresh.append(within);
  range.insertNode(fresh);
  tidy(element);
  select(element, [fresh]);
  return true;
}

/** Runs as nodes of a page. */
export function nodesOf(page: Document, runs: readonly Run[]): Node[] {
  return runs.flatMap((run) => {
    const pieces = run.text
      .split('\n')
      .flatMap((line, i): Node[] => [...(i > 0 ? [page.createElement('br')] : []), ...(line === '' ? [] : [page.createTextNode(line)])]);
    const marks = [run.isCode && 'code', run.isEmphasis && 'em', run.isStrong && 'strong', run.link != null && 'a'].filter(
      (m) => typeof m === 'string',
    );
    return marks.reduce((inner, mark) => {
      const around = page.createElement(mark);
      if (mark === 'a') {
        (around as HTMLAnchorElement).href = '#';
        around.dataset.to = run.link ?? '';
      }
      around.append(...inner);
      return [around];
    }, pieces);
  });
}

/** A mark stands within one paragraph, item or cell. */
const isOneLine = (element: HTMLElement, range: Range): boolean =>
  lineOf(element, range.startContainer) === lineOf(element, range.endContainer);

/** The paragraph, item or cell a node stands in. */
export const lineOf = (element: HTMLElement, node: Node): Element =>
  (node.nodeType === Node.ELEMENT_NODE ? (node as Element) : node.parentElement)?.closest('li, td, th') ?? element;

function tidy(element: HTMLElement): void {
  for (const empty of element.querySelectorAll('strong, em, code, a'))
    if (empty.textContent === '' && empty.querySelector('br') === null) empty.remove();
  element.normalize();
}

function select(element: HTMLElement, nodes: readonly Node[]): void {
  const [first, last] = [nodes[0], nodes.at(-1)];
  if (!first?.isConnected || !last?.isConnected) return;
  const range = element.ownerDocument.createRange();
  range.setStartBefore(first);
  range.setEndAfter(last);
  const selection = element.ownerDocument.getSelection();
  selection?.removeAllRanges();
  selection?.addRange(range);
}
