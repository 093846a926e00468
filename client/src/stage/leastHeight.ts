/** How near the hand has to be to the window's height to take it, px. */
const NEAR = 12;

/**
 * What is typed for a least height the hand has come to: the content's, the window's, or so many px in tens.
 * @param free whether the hand keeps to the very px
 */
export function leastHeight(px: number, content: number, window: number, free: boolean): string {
  if (px <= content + 1) return 'content';
  if (Math.abs(px - window) <= NEAR || (px > window && !free)) return 'window';
  return `${free ? Math.round(px) : Math.round(px / 10) * 10}px`;
}
