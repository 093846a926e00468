/** OKLCH as the hand sets it: lightness 0 to 1, chroma, hue in degrees. */
export interface Position {
  l: number;
  c: number;
  h: number;
}

/** As CSS; what is translucent stays so. */
export const cssOf = ({ l, c, h }: Position, alpha: number) =>
  `oklch(${l.toFixed(3)} ${c.toFixed(3)} ${h.toFixed(1)}${alpha < 1 ? ` / ${alpha}` : ''})`;
