import type { Schemas } from '../api/client';

/** The HTML inside a frame: blocks as they are being tried, and the stored page once a letter of it has changed. */
export class FrameContent {
  private readonly document: Document;
  private readonly onChanged: () => void;
  private mark: string;
  private wanted: string;
  private readonly tried = new Map<string, { now: Element; was: Element }>();

  /** @param onChanged called when elements were replaced: what was found among them before is gone */
  constructor(document: Document, onChanged: () => void) {
    this.document = document;
    this.onChanged = onChanged;
    this.mark = document.getElementById('sheet')?.dataset.page ?? '';
    this.wanted = this.mark;
  }

  /** Shows blocks that are not stored; those tried before and not now are put back. */
  try(blocks: readonly Schemas['BlockChange'][]): void {
    if (blocks.length === 0 && this.tried.size === 0) return;
    const now = new Set(blocks.map((b) => b.block));
    for (const [id, one] of this.tried) if (!now.has(id)) this.putBack(id, one);
    for (const { block, html } of blocks) {
      const standing = this.tried.get(block)?.now ?? outermost(this.document).find((e) => idOf(e) === block);
      const fresh = element(this.document, html);
      if (!standing || !fresh) continue;
      standing.replaceWith(fresh);
      this.tried.set(block, { now: fresh, was: this.tried.get(block)?.was ?? standing });
    }
    this.onChanged();
  }

  /**
   * Shows the page of a mark; fetched where it is not the one that stands here. What was tried stays until it is there.
   * @returns whether it stands here now: without a connection it may not
   */
  async show(mark: string | undefined, address: string): Promise<boolean> {
    if (mark === undefined) return true;
    this.wanted = mark;
    if (mark === this.mark) {
      this.clearTrial();
      return true;
    }
    const html = await fetch(address)
      .then((response) => (response.ok ? response.text() : ''))
      .catch(() => null);
    if (html === null || this.wanted !== mark) return false;
    // A page that is gone: what stands here stays.
    if (html === '') return true;
    const page = new DOMParser().parseFromString(html, 'text/html');
    this.clearTrial();
    this.take(page);
    this.mark = mark;
    this.onChanged();
    return true;
  }

  private clearTrial(): void {
    if (this.tried.size === 0) return;
    for (const [id, one] of this.tried) this.putBack(id, one);
    this.onChanged();
  }

  private putBack(id: string, { now, was }: { now: Element; was: Element }): void {
    now.replaceWith(was);
    this.tried.delete(id);
  }

  /** Takes over what differs, so that the rest keeps its place and its pictures. */
  private take(page: Document): void {
    this.document.documentElement.dataset.scheme = page.documentElement.dataset.scheme;
    this.document.title = page.title;
    const [here, there] = [outermost(this.document), outermost(page)];
    if (here.length === 0 || here.map(idOf).join() !== there.map(idOf).join() || hasSidebar(this.document) !== hasSidebar(page)) {
      this.document.body.replaceChildren(...page.body.childNodes);
      return;
    }
    here.forEach((standing, i) => {
      const fresh = there[i];
      if (fresh && bare(standing) !== bare(fresh)) standing.replaceWith(this.document.adoptNode(fresh));
    });
  }
}

const hasSidebar = (page: Document): boolean => page.querySelector('.paper > .sidebar') !== null;

const outermost = (page: Document): Element[] => [...page.querySelectorAll('.paper > [data-block], main > [data-block]')];

const idOf = (block: Element): string | null => block.getAttribute('data-block');

/** The block's HTML without the states the stage forces. */
const bare = (block: Element): string => block.outerHTML.replace(/ data-force="[a-z]*"/g, '');

function element(page: Document, html: string): Element | null {
  const template = page.createElement('template');
  template.innerHTML = html;
  return template.content.firstElementChild;
}
