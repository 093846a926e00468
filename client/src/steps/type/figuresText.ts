import type { Schemas } from '../../api/client';

/** How long the lines of a style are, in words. */
export function linesText({ lines, smallest, doubledAt }: Schemas['StyleFigures']): string {
  const said = [
    lines.length === 0
      ? 'Characters a line: not measured yet, or nowhere more than one line'
      : `Characters a line: ${lines.map((l) => `${l.characters} at ${l.width}`).join(', ')}`,
    smallest === null ? 'size depends on what is around' : `smallest ${smallest}px`,
    doubledAt === null ? 'never twice as large by zoom' : `twice as large at ${doubledAt} % zoom`,
  ];
  return said.join(' · ');
}
