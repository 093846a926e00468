import type { CatalogueView, Schemas, SiteView } from '../api/client';

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

/** The block of an id, in the frame or on a page. */
export const blockOf = ({ frame, pages }: Pick<SiteView, 'frame' | 'pages'>, id: string): Block | undefined =>
  rowOf(rowsOf([frame.header, frame.footer, ...pages.flatMap((p) => p.sections)]), id)?.block;

/** The places of a block that is shown in several: which page each is on, null for the frame. */
export function placesOf({ frame, pages }: Pick<SiteView, 'frame' | 'pages'>, { shared }: Block): { id: string; page: PageView | null }[] {
  if (shared === null) return [];
  const on = (sections: readonly Block[], page: PageView | null) =>
    rowsOf(sections)
      .filter((r) => r.block.shared === shared)
      .map((r) => ({ id: r.block.id, page }));
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

/** The move that brings a block to a row: null where it would stay as it is; a sentence where it cannot be. */
export function moveTo(catalogue: CatalogueView, moved: Row, over: Row, zone: 'before' | 'within' | 'after'): Spot | string | null {
  if (over.block.id === moved.block.id) return null;
  if (rowsOf([moved.block]).some((r) => r.block.id === over.block.id)) return 'A block cannot stand in itself.';
  const parent = zone === 'within' ? over.block : over.parent;
  const refusal = refusalOf(catalogue, moved.block.part, parent);
  if (refusal !== null) return refusal;
  const at = zone === 'within' ? over.block.blocks.length : over.at + (zone === 'after' ? 1 : 0);
  return placed(moved, { parent: parent?.id ?? null, at });
}

/** A place as it is counted once the block is gone from where it was; null where it is the place it has. */
function placed(moved: Row, { parent, at }: Spot): Spot | null {
  if (parent !== (moved.parent?.id ?? null)) return { parent, at };
  const there = at > moved.at ? at - 1 : at;
  return there === moved.at ? null : { parent, at: there };
}

/** Where Alt and an arrow bring a block: up and down among those it stands with, and over the end into the next that can hold it; left out of what it stands in, right into the one before it. */
export function stepTo(catalogue: CatalogueView, rows: readonly Row[], row: Row, key: string): Spot | string | null {
  const siblings = rows.filter((r) => (r.parent?.id ?? null) === (row.parent?.id ?? null));
  const beside = siblings[row.at + (key === 'ArrowUp' ? -1 : 1)];
  const around = row.parent && rowOf(rows, row.parent.id);
  switch (key) {
    case 'ArrowUp':
    case 'ArrowDown': {
      if (beside) return { parent: row.parent?.id ?? null, at: beside.at };
      // Over the end: into the next of what is around that can hold it.
      const next =
        around &&
        rows.find((r) => (r.parent?.id ?? null) === (around.parent?.id ?? null) && r.at === around.at + (key === 'ArrowUp' ? -1 : 1));
      if (!next) return null;
      const refusal = refusalOf(catalogue, row.block.part, next.block);
      return refusal ?? { parent: next.block.id, at: key === 'ArrowUp' ? next.block.blocks.length : 0 };
    }
    case 'ArrowLeft': {
      if (!around) return null;
      return refusalOf(catalogue, row.block.part, around.parent) ?? { parent: around.parent?.id ?? null, at: around.at + 1 };
    }
    case 'ArrowRight': {
      const before = siblings[row.at - 1];
      if (!before) return null;
      return refusalOf(catalogue, row.block.part, before.block) ?? { parent: before.block.id, at: before.block.blocks.length };
    }
    default:
      return null;
  }
}
