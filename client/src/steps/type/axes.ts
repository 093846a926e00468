const NONE = 'usual';

/** Where a text of axes, such as `opsz 72, SOFT 50`, stands on one; null where it says nothing of it. */
export function placeOn(text: string, tag: string): number | null {
  const said = pieces(text).find((p) => p.startsWith(`${tag} `));
  return said === undefined ? null : Number(said.slice(tag.length));
}

/** The text with another place on one axis. */
export function axesText(text: string, tag: string, at: number): string {
  const said = pieces(text);
  const place = `${tag} ${at}`;
  return (said.some((p) => p.startsWith(`${tag} `)) ? said.map((p) => (p.startsWith(`${tag} `) ? place : p)) : [...said, place]).join(', ');
}

const pieces = (text: string): string[] => (text === NONE ? [] : text.split(', '));
