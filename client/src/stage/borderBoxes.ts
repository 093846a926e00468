import type { MeasuredPage } from '../site/measuredPages';

/** The most boxes that are told of. */
const MOST = 5000;

/** The boxes of a page that wear a border, among all that have a box. */
export function borderBoxes(document: Document, page: string, width: number): MeasuredPage {
  const view = document.defaultView;
  const bordered: MeasuredPage['bordered'] = [];
  let elements = 0;
  for (const element of view ? document.body.querySelectorAll('*') : []) {
    const box = element.getBoundingClientRect();
    if (box.width === 0 || box.height === 0) continue;
    elements++;
    const lines = bordered.length < MOST ? linesOf(element, view as Window) : 0;
    if (lines === 0) continue;
    bordered.push({
      left: round(box.left + (view?.scrollX ?? 0)),
      top: round(box.top + (view?.scrollY ?? 0)),
      width: round(box.width),
      height: round(box.height),
      isClosed: lines === SIDES.length,
    });
  }
  return { page, width, height: document.documentElement.scrollHeight, elements, bordered };
}

const SIDES = ['top', 'right', 'bottom', 'left'];

/** On how many sides a line can be seen. */
function linesOf(element: Element, view: Window): number {
  const style = view.getComputedStyle(element);
  return SIDES.filter(
    (side) =>
      parseFloat(style.getPropertyValue(`border-${side}-width`)) > 0 &&
      !/^(none|hidden)$/.test(style.getPropertyValue(`border-${side}-style`)) &&
      !/(transparent|[,/]\s*0\))$/.test(style.getPropertyValue(`border-${side}-color`)),
  ).length;
}

const round = (px: number) => Math.round(px * 10) / 10;
