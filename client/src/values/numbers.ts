/** Steps the number at the caret by an amount of its last digit: 12 to 13, 1.25 to 1.26; null where there is none. */
export function stepNumber(text: string, caret: number, by: number): { text: string; caret: number } | null {
  for (const match of text.matchAll(/-?\d+(?:\.\d+)?/g)) {
    const end = match.index + match[0].length;
    if (caret < match.index || caret > end) continue;
    const digits = (match[0].split('.')[1] ?? '').length;
    const next = (Number(match[0]) + by / 10 ** digits).toFixed(digits);
    return { text: text.slice(0, match.index) + next + text.slice(end), caret: match.index + next.length };
  }
  return null;
}

/** Where the first number of a text stands; null where there is none. */
export const firstNumber = (text: string): number | null => text.match(/\d/)?.index ?? null;
