const NUMBER = /[-−+]?\d+(?:\.\d+)?/g;

/** Positions on the type scale are written with their sign: size +1, size −2. */
const SIGNED = /\bsize $/i;

/** Steps the number at the caret by an amount of its last digit: 12 to 13, 1.25 to 1.26, size −1 to size 0; null where there is none. */
export function stepNumber(text: string, caret: number, by: number): { text: string; caret: number } | null {
  for (const match of text.matchAll(NUMBER)) {
    const end = match.index + match[0].length;
    if (caret < match.index || caret > end) continue;
    const digits = (match[0].split('.')[1] ?? '').length;
    const stepped = Number(match[0].replace('−', '-')) + by / 10 ** digits;
    const before = text.slice(0, match.index);
    const sign = Number(stepped.toFixed(digits)) < 0 ? (SIGNED.test(before) ? '−' : '-') : SIGNED.test(before) && stepped > 0 ? '+' : '';
    const next = sign + Math.abs(stepped).toFixed(digits);
    return { text: before + next + text.slice(end), caret: match.index + next.length };
  }
  return null;
}

/** Forms of value that are numbers: a number with its unit, a position, what is reckoned from Rest, and the step of a colour. */
const FORMS = [/^[-−+]?\d/, /^(?:size|space|columns) [-−+]?\d/i, /^rest [-−+*×/] ?\d/i, /(?<= (?:tint|shade) )\d+$/i];

/** Where the number of a value stands; null where the value is a name, a colour or words. */
export function numberIn(text: string): number | null {
  for (const form of FORMS) {
    const found = form.exec(text);
    if (found) return found.index + Math.max(0, found[0].search(/[-−+]?\d/));
  }
  return null;
}

/**
 * So many px in the unit that a length has, as far as it is one number: `0.5rem` that is 8 px becomes `0.75rem` for 12.
 * @param text what is stored
 * @param stored what that comes to, px
 */
export function inUnitOf(text: string | null | undefined, stored: number, px: number): string {
  const [, number, unit] = /^(-?[\d.]+)([a-z]+|%)$/.exec(text?.trim() ?? '') ?? [];
  const pxOfUnit = stored / Number(number);
  return unit && unit !== 'px' && pxOfUnit > 0 && Number.isFinite(pxOfUnit)
    ? `${+(px / pxOfUnit).toFixed(3)}${unit}`
    : `${Math.round(px)}px`;
}
