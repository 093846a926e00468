import type { FillBox } from '../site/fillBoxes';

/** The boxes that fills and covering pictures have on a page. */
export function fillBoxesOn(document: Document, page: string, at: number): FillBox[] {
  const boxes: FillBox[] = [];
  for (const element of document.querySelectorAll('.fill, img[class*="in-sight-"]')) {
    const { width, height } = element.getBoundingClientRect();
    const name = [...element.classList].find((c) => c.startsWith('fill-') || c.startsWith('in-sight-'));
    if (name && width > 0 && height > 0) boxes.push({ name, page, at, width: Math.round(width), height: Math.round(height) });
  }
  return boxes;
}
