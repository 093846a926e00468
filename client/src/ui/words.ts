/** How often something is used. */
export const usesText = (uses: readonly unknown[]): string =>
  uses.length === 0 ? 'unused' : uses.length === 1 ? '1 use' : `${uses.length} uses`;

/** A noun with its article: a colour, an easing. */
export const withArticle = (noun: string): string => `${/^[aeiou]/i.test(noun) ? 'an' : 'a'} ${noun}`;
