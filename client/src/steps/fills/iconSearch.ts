/** An icon by its name, with the words it is found by and what is drawn in a box of 24 units. */
export type Icon = [name: string, words: string, drawing: string];

/** Those that are called so, or that all of the words say something of: names that begin so first. */
export function foundIcons(icons: readonly Icon[], wanted: string): Icon[] {
  const words = wanted.toLowerCase().split(/\s+/).filter(Boolean);
  const rank = ([name]: Icon) => {
    const [first] = words;
    if (!first || name === words.join(' ')) return 0;
    return name.startsWith(first) ? 1 : name.split(' ').some((part) => part.startsWith(first)) ? 2 : 3;
  };
  return icons
    .filter(([name, tags]) => words.every((word) => name.includes(word) || tags.split(' ').some((tag) => tag.startsWith(word))))
    .map((icon) => ({ icon, at: rank(icon) }))
    .sort((a, b) => a.at - b.at)
    .map(({ icon }) => icon);
}

/** An icon as a file of its own: strokes in one colour. */
export function iconFile([name, , drawing]: Icon, color: string): File {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="48" height="48" viewBox="0 0 24 24" fill="none" stroke="${color}" stroke-width="2" stroke-linecap="round" stroke-linejoin="round">${drawing}</svg>`;
  return new File([svg], `${name}.svg`, { type: 'image/svg+xml' });
}
