/** What is asked of a key. */
interface Key {
  key: string;
  ctrlKey: boolean;
}

/** How many rows a page is. */
const PAGE = 10;

/**
 * Where a key leads from a cell of a table of values, as ARIA's pattern for grids has it: arrows, Home and End with and without Ctrl, Page Up and Down.
 * @param target what has the focus: the button of a cell, or the field within one, which keeps its keys
 */
export function cellFrom(table: HTMLTableElement, target: Element, { key, ctrlKey }: Key): HTMLElement | null {
  const here = target.closest<HTMLTableCellElement>('td, th');
  if (!here) return null;
  if (target.matches('input')) return null;
  const rows = [...table.rows]
    .map((row) => [...row.cells].map((cell) => ({ at: cell.cellIndex, cell, button: cell.querySelector<HTMLElement>('button') })))
    .map((row) => row.flatMap(({ at, cell, button }) => (button ? [{ at, cell, button }] : [])))
    .filter((row) => row.length > 0);
  const y = rows.findIndex((row) => row.some(({ cell }) => cell === here));
  const row = rows[y];
  if (!row) return null;
  const x = row.findIndex(({ cell }) => cell === here);
  const inRow = (to: number) => {
    const there = rows[Math.min(rows.length - 1, Math.max(0, to))];
    // The same column, or the nearest before it where that row has nothing in it.
    return (there?.findLast(({ at }) => at <= here.cellIndex) ?? there?.[0])?.button ?? null;
  };
  switch (key) {
    case 'ArrowDown':
      return inRow(y + 1);
    case 'ArrowUp':
      return inRow(y - 1);
    case 'ArrowRight':
      return row[x + 1]?.button ?? null;
    case 'ArrowLeft':
      return row[x - 1]?.button ?? null;
    case 'Home':
      return (ctrlKey ? rows[0]?.[0] : row[0])?.button ?? null;
    case 'End':
      return (ctrlKey ? rows.at(-1)?.at(-1) : row.at(-1))?.button ?? null;
    case 'PageDown':
      return inRow(y + PAGE);
    case 'PageUp':
      return inRow(y - PAGE);
    default:
      return null;
  }
}
