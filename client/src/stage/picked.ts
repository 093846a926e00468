type Listener = (element: Element) => void;

const listeners = new Set<Listener>();

/** Tells of an element of a page that was clicked, or walked to. */
export const tellPicked: Listener = (element) => listeners.forEach((listener) => listener(element));

/** Hears of the elements that are picked on the stage. Returns how to stop. */
export function onPicked(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const SIDES = ['top', 'right', 'bottom', 'left'];

/** The colours that meet at an element, as a list that could be pasted: its text, the ground it lies on, its lines. */
export function colorsAt(element: Element): string {
  const styleOf = (of: Element) => (of.ownerDocument.defaultView as Window).getComputedStyle(of);
  const style = styleOf(element);
  const isClear = (color: string) => color === 'transparent' || /[,/]\s*0\)$/.test(color);
  let on: Element | null = element;
  while (on && isClear(styleOf(on).backgroundColor)) on = on.parentElement;
  const lines = SIDES.filter((s) => style.getPropertyValue(`border-${s}-style`) !== 'none').map((s) =>
    style.getPropertyValue(`border-${s}-color`),
  );
  return [
    `text: ${style.color}`,
    ...(on ? [`ground: ${styleOf(on).backgroundColor}`] : []),
    ...[...new Set(lines)].filter((color) => !isClear(color)).map((color) => `line: ${color}`),
  ].join('\n');
}
