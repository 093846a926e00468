import type { Schemas } from '../api/client';
import type { MeasuredBox } from '../site/boxes';

type Wearer = Schemas['WearerView'];

/** From so many line heights on, text has more than one line. */
const LINES = 1.8;

/**
 * The boxes of a page in which text runs over several lines: of each text style the widest.
 * @param wearers which elements wear which style, in the order of the sheet
 * @param page the style of the page itself, for text that no other is said for
 */
export function textBoxes(document: Document, wearers: readonly Wearer[], page: string, width: number): MeasuredBox[] {
  const view = document.defaultView;
  if (!view) return [];
  const worn = new Map<Element, string>();
  for (const { selector, style } of wearers) for (const element of document.querySelectorAll(selector)) worn.set(element, style);
  const widest = new Map<string, MeasuredBox>();
  const seen = new Set<Element>();
  const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let text = texts.nextNode(); text; text = texts.nextNode()) {
    if (!text.nodeValue?.trim() || !text.parentElement) continue;
    const holder = blockAround(text.parentElement, view);
    if (!holder || seen.has(holder)) continue;
    seen.add(holder);
    const css = view.getComputedStyle(holder);
    const inline = holder.clientWidth - parseFloat(css.paddingInlineStart) - parseFloat(css.paddingInlineEnd);
    const height = holder.clientHeight - parseFloat(css.paddingBlockStart) - parseFloat(css.paddingBlockEnd);
    const line = parseFloat(css.lineHeight) || parseFloat(css.fontSize) * 1.2;
    if (inline <= 0 || height < LINES * line) continue;
    const style = styleOf(holder, worn) ?? page;
    const before = widest.get(style);
    if (before && before.inline >= inline) continue;
    widest.set(style, {
      style,
      width,
      inline: Math.round(inline * 10) / 10,
      block: holder.closest('[data-block]')?.getAttribute('data-block') ?? '',
    });
  }
  return [...widest.values()];
}

/** The nearest box that breaks lines; null within what is not laid out so. */
function blockAround(element: Element, view: Window): Element | null {
  for (let at: Element | null = element; at; at = at.parentElement) {
    const { display } = view.getComputedStyle(at);
    if (display === 'none') return null;
    if (!display.startsWith('inline') && display !== 'contents') return at;
  }
  return null;
}

function styleOf(element: Element, worn: ReadonlyMap<Element, string>): string | null {
  for (let at: Element | null = element; at; at = at.parentElement) {
    const style = worn.get(at);
    if (style !== undefined) return style;
  }
  return null;
}
