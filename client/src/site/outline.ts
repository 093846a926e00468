import type { CatalogueView, PartView, Schemas, SiteView } from '../api/client';

type PageView = Schemas['PageView'];

export type Block = Schemas['BlockView'];

/** A block in the outline of a page. */
export interface Row {
  block: Block;
  /** How many blocks it stands in. */
  depth: number;
  /** The block it stands in; null on the page itself. */
  parent: Block | null;
  /** Its place among those it stands with, from 0. */
  at: number;
  /** How many stand there. */
  count: number;
}

/** Where a block can be put. */
export interface Spot {
  /** Id of the block it comes into; null for the page itself. */
  parent: string | null;
  at: number;
}

/** The rows of a page's outline from top to bottom, without what stands in closed ones. */
export function rowsOf(sections: readonly Block[], closed: readonly string[] = []): Row[] {
  const walk = (blocks: readonly Block[], parent: Block | null, depth: number): Row[] =>
    blocks.flatMap((block, at) => [
      { block, depth, parent, at, count: blocks.length },
      ...(closed.includes(block.id) ? [] : walk(block.blocks, block, depth + 1)),
    ]);
  return walk(sections, null, 0);
}

/** Why a block of a part cannot stand in another; null where it can. */
export const refusalOf = (catalogue: CatalogueView, part: string, outer: Block | null): string | null => {
  const within = catalogue.refusals[outer?.part ?? ''];
  return within ? (within[part] ?? null) : `Nothing stands in a ${nameOf(catalogue, outer)}.`;
};

const nameOf = (catalogue: CatalogueView, block: Block | null): string =>
  catalogue.parts.find((p) => p.id === block?.part)?.name.toLowerCase() ?? 'block';

/** What a block is told apart by, beside its part: what the designer calls it, else the first words it holds. */
export function calledIn(catalogue: CatalogueView, block: Block, look: string | undefined): string {
  const part = catalogue.parts.find((p) => p.id === block.part);
  return block.name !== part?.name && block.name !== look ? block.name : block.says;
}

/** The row of a block; undefined where it is not on the page. */
export const rowOf = (rows: readonly Row[], id: string | null): Row | undefined => rows.find((r) => r.block.id === id);

// What stands in an outermost block is kept for as long as it stays as it is: sites have thousands.
const known = new WeakMap<Block, ReadonlyMap<string, Block>>();

/** A block and all that is inside it, by id. */
function insideOf(outermost: Block): ReadonlyMap<string, Block> {
  const found = known.get(outermost) ?? new Map(rowsOf([outermost]).map((r) => [r.block.id, r.block]));
  known.set(outermost, found);
  return found;
}

/** The block of an id, in the frame or on a page. */
export function blockOf({ frame, pages }: Pick<SiteView, 'frame' | 'pages'>, id: string): Block | undefined {
  for (const section of [frame.header, frame.footer]) if (insideOf(section).has(id)) return insideOf(section).get(id);
  for (const page of pages) for (const section of page.sections) if (insideOf(section).has(id)) return insideOf(section).get(id);
  return undefined;
}

/** The places of a block that is shown in several: which page each is on, null for the frame. */
export function placesOf({ frame, pages }: Pick<SiteView, 'frame' | 'pages'>, { shared }: Block): { id: string; page: PageView | null }[] {
  if (shared === null) return [];
  const on = (sections: readonly Block[], page: PageView | null) =>
    sections
      .flatMap((s) => [...insideOf(s).values()])
      .filter((b) => b.shared === shared)
      .map((b) => ({ id: b.id, page }));
  return [...on([frame.header, frame.footer], null), ...pages.flatMap((p) => on(p.sections, p))];
}

/** The rows a row stands in, the innermost first. */
export function aroundOf(rows: readonly Row[], row: Row): Row[] {
  const parent = row.parent && rowOf(rows, row.parent.id);
  return parent ? [parent, ...aroundOf(rows, parent)] : [];
}

/** Where a new block of a part comes: into the chosen block, else right after it, else after the nearest around it; at the end of the page where nothing is chosen. */
export function spotFor(catalogue: CatalogueView, rows: readonly Row[], chosen: Row | undefined, part: string): Spot | null {
  if (!chosen) return refusalOf(catalogue, part, null) === null ? { parent: null, at: rows.filter((r) => r.parent === null).length } : null;
  if (refusalOf(catalogue, part, chosen.block) === null) return { parent: chosen.block.id, at: chosen.block.blocks.length };
  const beside = [chosen, ...aroundOf(rows, chosen)].find((row) => refusalOf(catalogue, part, row.parent) === null);
  return beside ? { parent: beside.parent?.id ?? null, at: beside.at + 1 } : null;
}

/** Which part of a row the hand is over: its upper and lower edge are beside it, its middle is within. */
export const zoneOf = (y: number, top: number, height: number, holds: boolean): 'before' | 'within' | 'after' => {
  const share = (y - top) / height;
  if (!holds) return share < 0.5 ? 'before' : 'after';
  return share < 0.3 ? 'before' : share > 0.7 ? 'after' : 'within';
};

/** The move that brings blocks to a row: null where they would stay as they are; a sentence where they cannot be. */
export function moveTo(
  catalogue: CatalogueView,
  moved: readonly Row[],
  over: Row,
  zone: 'before' | 'within' | 'after',
): Spot | string | null {
  if (moved.some((m) => m.block.id === over.block.id)) return null;
  if (rowsOf(moved.map((m) => m.block)).some((r) => r.block.id === over.block.id)) return 'A block cannot stand in itself.';
  const parent = zone === 'within' ? over.block : over.parent;
  const refusal = refusalOfAll(catalogue, moved, parent);
  if (refusal !== null) return refusal;
  const at = zone === 'within' ? over.block.blocks.length : over.at + (zone === 'after' ? 1 : 0);
  return placed(moved, { parent: parent?.id ?? null, at });
}

/** The place at the end of a page that blocks can come to; a sentence where there is none. */
export function endOf(catalogue: CatalogueView, moved: readonly Row[], page: PageView): Spot | string {
  if (refusalOfAll(catalogue, moved, null) === null) return { parent: null, at: page.sections.length };
  const last = page.sections.findLast((s) => refusalOfAll(catalogue, moved, s) === null);
  return last ? { parent: last.id, at: last.blocks.length } : `Nothing on ${page.name} can hold it: add a section there first.`;
}

/** The parts that blocks which stand together can be put into one of. Sections that are put into one give up being some. */
export const wrappersOf = (catalogue: CatalogueView, blocks: readonly Block[], parent: Block | null): PartView[] =>
  catalogue.parts.filter(
    (p) =>
      p.holdsBlocks &&
      refusalOf(catalogue, p.id, parent) === null &&
      (parent === null ? blocks.length > 1 : blocks.every((b) => refusalOf(catalogue, b.part, { ...b, part: p.id }) === null)),
  );

const refusalOfAll = (catalogue: CatalogueView, moved: readonly Row[], outer: Block | null): string | null =>
  moved.map((m) => refusalOf(catalogue, m.block.part, outer)).find((refusal) => refusal !== null) ?? null;

const parentOf = (row: Row): string | null => row.parent?.id ?? null;

/** A place as it is counted once the blocks are gone from where they were; null where it is the place they have. */
function placed(moved: readonly Row[], { parent, at }: Spot): Spot | null {
  const there = at - moved.filter((m) => parentOf(m) === parent && m.at < at).length;
  return areBeside(moved) && moved[0] && parentOf(moved[0]) === parent && there === moved[0].at ? null : { parent, at: there };
}

/** Whether blocks follow each other. */
const areBeside = (moved: readonly Row[]): boolean =>
  moved.every((m, i) => parentOf(m) === parentOf(moved[0] as Row) && m.at === (moved[0] as Row).at + i);

/** The rows from one to another among those it stands with: what is chosen between both. */
export function between(rows: readonly Row[], from: Row, to: Row): Row[] {
  const [low, high] = [Math.min(from.at, to.at), Math.max(from.at, to.at)];
  return parentOf(from) === parentOf(to) ? rows.filter((r) => parentOf(r) === parentOf(from) && r.at >= low && r.at <= high) : [to];
}

/**
 * Where Alt and an arrow bring blocks that follow each other: up and down among those they stand with, and over the end into the next that can hold them; left out of
 * what they stand in, right into the one before them.
 */
export function stepTo(catalogue: CatalogueView, rows: readonly Row[], moved: readonly Row[], key: string): Spot | string | null {
  const [first, last] = [moved[0], moved.at(-1)];
  if (!first || !last) return null;
  if (!areBeside(moved)) return 'Blocks that do not follow each other are moved by hand, or to another page.';
  const siblings = rows.filter((r) => parentOf(r) === parentOf(first));
  const around = first.parent && rowOf(rows, first.parent.id);
  switch (key) {
    case 'ArrowUp':
    case 'ArrowDown': {
      if (siblings[key === 'ArrowUp' ? first.at - 1 : last.at + 1])
        return { parent: parentOf(first), at: first.at + (key === 'ArrowUp' ? -1 : 1) };
      // Over the end: into the next of what is around that can hold them.
      const next = around && rows.find((r) => parentOf(r) === parentOf(around) && r.at === around.at + (key === 'ArrowUp' ? -1 : 1));
      if (!next) return null;
      return refusalOfAll(catalogue, moved, next.block) ?? { parent: next.block.id, at: key === 'ArrowUp' ? next.block.blocks.length : 0 };
    }
    case 'ArrowLeft': {
      if (!around) return null;
      return refusalOfAll(catalogue, moved, around.parent) ?? { parent: parentOf(around), at: around.at + 1 };
    }
    case 'ArrowRight': {
      const before = siblings[first.at - 1];
      if (!before) return null;
      return refusalOfAll(catalogue, moved, before.block) ?? { parent: before.block.id, at: before.block.blocks.length };
    }
    default:
      return null;
  }
}
