import { Idiomorph } from 'idiomorph';
import type { Schemas } from '../api/client';
import { putSpot, saidIn, spotIn } from './writing/caret';

/** An element that is being written in: the page around it follows, and what stands in it only where it is not ahead of what is stored. */
export interface Held {
  element: HTMLElement;
  /** Attributes it has for being written in. */
  kept: readonly string[];
  /** Whether something stands in it that is not stored yet. */
  isAhead: () => boolean;
}

/** The HTML inside a frame: blocks as they are being tried, and the stored page once a letter of it has changed. */
export class FrameContent {
  private readonly document: Document;
  private readonly onChanged: () => void;
  private mark: string;
  private wanted: string;
  private stood: Element[] | null = null;
  private held: Held | null = null;
  private readonly tried = new Map<string, { now: Element; was: Element }>();

  /** @param onChanged called when elements were replaced: what was found among them before is gone */
  constructor(document: Document, onChanged: () => void) {
    this.document = document;
    this.onChanged = onChanged;
    this.mark = document.getElementById('sheet')?.dataset.page ?? '';
    this.wanted = this.mark;
  }

  /** Holds on to an element that is written in, or with null lets go of it: then the page is shown anew as it is stored. */
  hold(held: Held | null): void {
    this.held = held;
    if (held === null) this.mark = '';
  }

  /**
   * Shows blocks that are not stored; those tried before and not now are put back.
   * @param order the sections from top to bottom, where they came, went or moved
   */
  try(blocks: readonly Schemas['BlockChange'][], order: readonly string[] | null = null): void {
    if (blocks.length === 0 && order === null && this.tried.size === 0 && this.stood === null) return;
    this.putInOrder();
    const now = new Set(blocks.map((b) => b.block));
    for (const [id, one] of this.tried) if (!now.has(id)) this.putBack(id, one);
    const added = new Map<string, Element>();
    for (const { block, html } of blocks) {
      const standing = this.tried.get(block)?.now ?? outermost(this.document).find((e) => idOf(e) === block);
      // What is tried is what is being written there.
      if (standing && this.held && standing.contains(this.held.element)) continue;
      const fresh = element(this.document, html);
      if (!fresh) continue;
      if (!standing) {
        added.set(block, fresh);
        continue;
      }
      standing.replaceWith(fresh);
      this.tried.set(block, { now: fresh, was: this.tried.get(block)?.was ?? standing });
    }
    const main = this.document.querySelector('main');
    if (order && main) {
      this.stood = [...main.children];
      const known = new Map([...main.children].map((e) => [idOf(e), e]));
      arrange(
        main,
        order.flatMap((id) => known.get(id) ?? added.get(id) ?? []),
      );
    }
    this.onChanged();
  }

  /** The sections as they stood before others were tried. */
  private putInOrder(): void {
    const main = this.document.querySelector('main');
    if (this.stood && main) arrange(main, this.stood);
    this.stood = null;
  }

  /** Whether the page of a mark stands here, so that showing it takes no time. */
  stands(mark: string | undefined): boolean {
    return mark === undefined || mark === this.mark;
  }

  /**
   * Shows the page of a mark; fetched where it is not the one that stands here. What was tried stays until it is there.
   * @returns whether it stands here now: without a connection it may not
   */
  async show(mark: string | undefined, address: string): Promise<boolean> {
    if (mark === undefined) return true;
    this.wanted = mark;
    if (this.stands(mark)) {
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
    if (this.tried.size === 0 && this.stood === null) return;
    this.putInOrder();
    for (const [id, one] of this.tried) this.putBack(id, one);
    this.onChanged();
  }

  private putBack(id: string, { now, was }: { now: Element; was: Element }): void {
    now.replaceWith(was);
    this.tried.delete(id);
  }

  /** Takes over what differs, so that the rest keeps its place, its pictures, its caret and what plays. */
  private take(page: Document): void {
    this.document.documentElement.dataset.scheme = page.documentElement.dataset.scheme;
    this.document.title = page.title;
    const [main, other] = [this.document.querySelector('main'), page.querySelector('main')];
    const [here, there] = [outermost(this.document), outermost(page)];
    const isFrameSame = frameOf(here) === frameOf(there) && hasSidebar(this.document) === hasSidebar(page);
    if (!main || !other || here.length === 0 || !isFrameSame) {
      this.document.body.replaceChildren(...page.body.childNodes);
      return;
    }
    const known = new Map(here.map((e) => [idOf(e), e]));
    const sections: Element[] = [];
    for (const fresh of there) {
      const standing = known.get(idOf(fresh));
      const isSection = fresh.parentElement === other;
      const element = !standing
        ? this.document.adoptNode(fresh)
        : bare(standing) === bare(fresh)
          ? standing
          : morph(standing, fresh, this.held);
      if (isSection) sections.push(element);
    }
    arrange(main, sections);
    for (const holder of ['body', '.paper']) takeFills(this.document, page, holder);
  }
}

/** What lies behind a page itself, or behind its paper, where that is another. */
function takeFills(document: Document, page: Document, holder: string): void {
  const [stands, comes] = [document.querySelector(holder), page.querySelector(holder)];
  if (!stands || !comes) return;
  const [here, there] = [fillsOf(stands), fillsOf(comes)];
  if (htmlOf(here) === htmlOf(there)) return;
  for (const fill of here) fill.remove();
  stands.append(...there.map((fill) => document.adoptNode(fill)));
}

const fillsOf = (holder: Element): Element[] => [...holder.querySelectorAll(':scope > .fill')];

const htmlOf = (elements: readonly Element[]): string => elements.map((e) => e.outerHTML).join('');

/** The ids of the blocks around the sections. */
const frameOf = (blocks: readonly Element[]): string =>
  blocks
    .filter((e) => e.parentElement?.localName !== 'main')
    .map(idOf)
    .join();

/** Puts children in order; those that stand right are not touched, and those that move keep what plays in them where the browser can. */
function arrange(parent: Element, children: readonly Element[]): void {
  children.forEach((child, i) => {
    const at = parent.children[i] ?? null;
    if (at === child) return;
    if (child.parentElement === parent && 'moveBefore' in parent)
      (parent as Element & { moveBefore: (a: Node, b: Node | null) => void }).moveBefore(child, at);
    else parent.insertBefore(child, at);
  });
  while (parent.children.length > children.length) parent.lastElementChild?.remove();
}

/** Makes an element like another, keeping what is the same within it: blocks are told by their ids. */
function morph(standing: Element, fresh: Element, held: Held | null): Element {
  if (standing.localName !== fresh.localName) {
    standing.replaceWith(fresh);
    return fresh;
  }
  const lent = [standing, fresh]
    .flatMap((root) => [root, ...root.querySelectorAll('[data-block]')])
    .filter((e) => e.id === '' && idOf(e) !== null);
  for (const e of lent) e.id = `block-${idOf(e)}`;
  const caret = held && standing.contains(held.element) ? spotIn(held.element) : null;
  let isTouched = false;
  Idiomorph.morph(standing, fresh.outerHTML, {
    morphStyle: 'outerHTML',
    restoreFocus: true,
    callbacks: {
      beforeNodeMorphed: (old: Node, next: Node) => {
        if (held === null || old !== held.element) return true;
        const [stands, stored] = [saidIn(held.element), saidIn(next as HTMLElement)];
        // What belongs where nothing is written yet is shown by the hint.
        isTouched = !held.isAhead() && stands !== stored && !(stands === '' && stored === held.element.dataset.hint);
        return isTouched;
      },
      beforeAttributeUpdated: (name: string, element: Element) => !held?.element.contains(element) || !held.kept.includes(name),
    },
  });
  if (isTouched && held && caret !== null) putSpot(held.element, caret);
  for (const e of [standing, ...standing.querySelectorAll('[data-block]')]) if (e.id === `block-${idOf(e)}`) e.removeAttribute('id');
  return standing;
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
