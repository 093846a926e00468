import { useEffect } from 'react';
import type { CatalogueView, SiteView } from '../api/client';
import { useEditingStore } from '../site/editingContext';
import { partOf } from '../site/catalogue';
import { rowOf, rowsOf, spotFor, type Row } from '../site/outline';
import type { PictureSpot } from '../site/requests';

/** Where a picture that is dropped or pasted would come; a sentence where it can come nowhere. */
export type Landing = { spot: PictureSpot; on: string } | string;

const NOWHERE = 'A picture stands in a section, a group or a card: drop it on one of them, or add a section first.';

/**
 * Where a picture comes that is dropped on a block: into its place for one, else as a block of its own in it or after it.
 * @param fresh whether it comes beside what is there, whatever that could hold
 */
export function landingOn(
  catalogue: CatalogueView,
  { frame, pages }: SiteView,
  page: string,
  block: string | null,
  fresh = false,
): Landing {
  const sections = pages.find((p) => p.id === page)?.sections ?? [];
  const rows = rowsOf([frame.header, ...sections, frame.footer]);
  const row: Row | undefined = rowOf(rows, block) ?? rowOf(rows, sections.at(-1)?.id ?? null);
  if (!row) return NOWHERE;
  const { id, part } = row.block;
  if (!fresh && partOf(catalogue, part)?.slots.some((s) => s.kind === 'picture')) return { spot: { block: id }, on: id };
  const spot = spotFor(catalogue, rows, row, 'picture');
  return spot === null || spot.parent === null
    ? NOWHERE
    : { spot: { block: crypto.randomUUID(), page, parent: spot.parent, at: spot.at }, on: id };
}

interface Options {
  page: Document | null;
  id: string;
  /** Whether what is pasted comes here, of several pages on the stage. */
  leads: boolean;
  /** Id of what is selected: what is pasted comes there. */
  selected: string | null;
  add: (file: File, spot: PictureSpot) => Promise<string | null>;
}

/** Pictures dropped on the stage, or pasted while it has the focus. */
export function usePictureDrops({ page, id, leads, selected, add }: Options): void {
  const store = useEditingStore();
  useEffect(() => {
    if (!page) return;
    const on = (block: string | null, fresh = false): Landing => {
      const { catalogue, site } = store.getState();
      return landingOn(catalogue, site, id, block, fresh);
    };
    const place = async (files: readonly File[], block: string | null) => {
      let at = block;
      for (const [n, file] of files.entries()) {
        const landing = on(at, n > 0);
        if (typeof landing === 'string') {
          store.getState().tell(landing);
          return;
        }
        if ((await add(file, landing.spot)) === null) at = landing.spot.block;
      }
    };
    // The page itself shows where it would come.
    const show = (block: string | null) => {
      for (const marked of page.querySelectorAll('[data-drop]')) marked.removeAttribute('data-drop');
      if (block !== null) page.querySelector(`[data-block="${CSS.escape(block)}"]`)?.setAttribute('data-drop', '');
    };
    const under = (event: DragEvent): string | null =>
      (event.target as Element | null)?.closest?.('[data-block]')?.getAttribute('data-block') ?? null;
    const onOver = (event: DragEvent) => {
      if (!event.dataTransfer?.types.includes('Files')) return;
      event.preventDefault();
      const landing = on(under(event));
      event.dataTransfer.dropEffect = typeof landing === 'string' ? 'none' : 'copy';
      show(typeof landing === 'string' ? null : landing.on);
    };
    const onLeave = (event: DragEvent) => {
      if (event.relatedTarget === null) show(null);
    };
    const onDrop = (event: DragEvent) => {
      const files = [...(event.dataTransfer?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      show(null);
      void place(files, under(event));
    };
    const onPaste = (event: ClipboardEvent) => {
      const files = [...(event.clipboardData?.files ?? [])].filter((f) => f.type.startsWith('image/'));
      // Where there are words too, those are meant.
      if (files.length === 0 || event.clipboardData?.types.includes('text/plain')) return;
      if (event.currentTarget !== page && !(leads && (event.target as Element).closest('.stage-room'))) return;
      event.preventDefault();
      event.stopPropagation();
      void place(files, selected);
    };
    page.addEventListener('dragover', onOver);
    page.addEventListener('dragleave', onLeave);
    page.addEventListener('drop', onDrop);
    page.addEventListener('paste', onPaste, true);
    document.addEventListener('paste', onPaste);
    return () => {
      page.removeEventListener('dragover', onOver);
      page.removeEventListener('dragleave', onLeave);
      page.removeEventListener('drop', onDrop);
      page.removeEventListener('paste', onPaste, true);
      document.removeEventListener('paste', onPaste);
    };
  }, [page, id, leads, selected, store, add]);
}
