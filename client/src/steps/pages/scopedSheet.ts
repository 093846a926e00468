/** The page's own elements, which stand for nothing within a shadow. */
const PAGE = /(^|[\s,}>])(?:html|body)(?=[\s,{:[.])/g;

const FRAME = '.page { transform-origin: 0 0; }';

let kept: { css: string; sheet: CSSStyleSheet } | null = null;

/** A site's sheet for elements apart from the window: what it says of a page it says of what stands in its place there. */
export function scopedSheet(css: string): CSSStyleSheet {
  if (kept?.css === css) return kept.sheet;
  const sheet = new CSSStyleSheet();
  sheet.replaceSync(scoped(css) + FRAME);
  kept = { css, sheet };
  return sheet;
}

export const scoped = (css: string): string => css.replaceAll(':root', ':host').replace(PAGE, '$1.page');
