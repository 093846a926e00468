import { answered, api, type Edit, type Schemas } from '../../api/client';
import type { EditingStore } from '../../site/editing';
import { newGesture } from '../../site/window';
import type { FrameContent } from '../content';
import { around, isAtStart, putCaret, rangeIn, saidIn } from './caret';
import { indent, joinItem, leaveAt, nextItem, outdent, stepCell } from './lines';
import { link, nodesOf, toggle, type Mark } from './marks';
import { elementsOf, htmlOf, runsOn, type Place } from './place';

/** Where writing goes on once the page shows a change: by the block it is found in. */
export interface Next {
  find: (page: Document) => string | null;
  /** In letters from the start, below zero from the end. */
  caret: number;
  /** What is to be told there. */
  said?: string | null;
  /** What was typed on the way there. */
  typed: () => string;
}

interface Surroundings {
  page: Document;
  content: FrameContent;
  store: EditingStore;
  /** Writing in this place is over. */
  onEnd: () => void;
  /** Writing goes on elsewhere once the page shows a change; until then what is typed here is kept for it. */
  onNext: (next: Next) => void;
  /** Something to be told beside the place; null for nothing any more. */
  onSay: (said: string | null) => void;
  /** The link at the caret is asked for. */
  onLink: () => void;
  /** Writing was left by key: the stage has the focus again. */
  onLeave: () => void;
  /** A key that is the window's. */
  passOn: (event: KeyboardEvent) => void;
}

const KEPT = ['contenteditable', 'spellcheck', 'data-hint', 'style'];

/** Writing in a slot of a block on the stage: the browser's own editing of text, its structure kept to what a slot holds, stored as it grows. */
export class Writer {
  readonly place: Place;
  /** Under which what is typed is kept until it is stored. */
  readonly key: string;
  private readonly around: Surroundings;
  private readonly cleanUp: () => void;
  private gesture = newGesture();
  /** Whether a change is on its way after which the place may be another. */
  private isWaiting = false;
  /** What was typed meanwhile. */
  private queued = '';

  constructor(place: Place, surroundings: Surroundings, caret: number | null, typed: string) {
    this.place = place;
    this.around = surroundings;
    this.key = `write ${place.block} ${place.slot.id}`;
    const { element } = place;
    this.empty();
    for (const host of this.hosts()) {
      host.contentEditable = 'true';
      host.spellcheck = true;
    }
    // Spaces stay as they are typed; a list's own lines are its indentation.
    if (place.slot.kind === 'text') element.style.whiteSpaceCollapse = 'preserve';
    surroundings.content.hold({ element, kept: KEPT, isAhead: () => surroundings.store.getState().typed[this.key] !== undefined });
    const range = rangeIn(element)?.cloneRange();
    (this.hosts().find((host) => range && host.contains(range.startContainer)) ?? this.hosts()[0])?.focus({ preventScroll: true });
    if (caret !== null) putCaret(element, caret);
    else if (range) {
      const selection = surroundings.page.getSelection();
      selection?.removeAllRanges();
      selection?.addRange(range);
    } else putCaret(element, -1);
    element.scrollIntoView({ block: 'nearest' });
    const on = <K extends keyof HTMLElementEventMap>(name: K, listener: (event: HTMLElementEventMap[K]) => void) => {
      element.addEventListener(name, listener);
      return () => element.removeEventListener(name, listener);
    };
    const offs = [
      on('input', () => this.changed()),
      on('beforeinput', (event) => this.onBeforeInput(event)),
      on('keydown', (event) => this.onKeyDown(event)),
      on('paste', (event) => void this.onPaste(event)),
      on('drop', (event) => event.preventDefault()),
    ];
    this.cleanUp = () => offs.forEach((off) => off());
    this.insertText(typed);
  }

  /** Tells what stands here now; it is stored when the hand rests. */
  changed(): void {
    const { place, around: to } = this;
    to.onSay(null);
    to.store.getState().type(this.key, {
      edit: this.edit(),
      name: `${place.slot.name} of ${place.part.name.toLowerCase()}`,
      gesture: this.gesture,
      rests: true,
    });
  }

  /** Writing ends: what was typed is stored, and the page is shown as the core writes it. */
  end(): void {
    const { store, content, page, onEnd } = this.around;
    if (store.getState().typed[this.key]) store.getState().storeTyped(this.key);
    this.cleanUp();
    for (const host of [this.place.element, ...this.hosts()]) for (const name of KEPT) host.removeAttribute(name);
    content.hold(null);
    page.getSelection()?.removeAllRanges();
    (page.activeElement as HTMLElement | null)?.blur();
    onEnd();
  }

  mark(mark: Mark): void {
    if (toggle(this.place.element, mark)) this.changed();
    else this.around.onSay('Select what is to be marked, within one line.');
  }

  link(to: string | null, says: string): void {
    if (link(this.place.element, to, says)) this.changed();
  }

  /** Makes a list of the lines written here, or lines of the list. */
  async turn(): Promise<void> {
    const { place } = this;
    this.store();
    await this.make(
      place.slot.kind === 'list'
        ? { kind: 'listToLines', block: place.block, id: crypto.randomUUID() }
        : { kind: 'linesToList', blockIds: [place.block] },
      { find: () => place.block, caret: -1 },
    );
  }

  private edit(): Edit {
    return { kind: 'writeContent', block: this.place.block, slot: this.place.slot.id, html: htmlOf(this.place) };
  }

  private insertText(text: string): void {
    if (text !== '') this.around.page.execCommand('insertText', false, text);
  }

  /** What the browser edits: of a table its cells, each by itself, so that nothing takes the table apart. */
  private hosts(): HTMLElement[] {
    const { element, slot } = this.place;
    return slot.kind === 'table' ? [...element.querySelectorAll<HTMLElement>('td, th')] : [element];
  }

  /** What was typed while a change was on its way comes in where the caret is now. */
  private resume(): void {
    this.isWaiting = false;
    this.insertText(this.queued);
    this.queued = '';
  }

  private store(): void {
    const { store } = this.around;
    if (store.getState().typed[this.key]) store.getState().storeTyped(this.key);
    this.gesture = newGesture();
  }

  /** What belongs here is shown until something is written. */
  private empty(): void {
    const { element, block, slot } = this.place;
    const holder = element.closest<HTMLElement>(`[data-block="${CSS.escape(block)}"]`);
    if (!holder?.dataset.empty?.split(' ').includes(slot.id)) return;
    element.dataset.hint = saidIn(element);
    if (slot.kind === 'list') element.replaceChildren(this.around.page.createElement('li'));
    else if (slot.kind === 'table') for (const cell of element.querySelectorAll('td, th')) cell.textContent = '';
    else element.replaceChildren();
  }

  private onBeforeInput(event: InputEvent): void {
    const isLine = this.place.slot.kind === 'text';
    switch (event.inputType) {
      case 'insertParagraph':
      case 'historyUndo':
      case 'historyRedo':
      case 'insertFromDrop':
      case 'insertFromPaste':
        event.preventDefault();
        break;
      case 'insertLineBreak':
        if (!isLine) event.preventDefault();
        break;
      default:
        // Its own ways of marking make other elements than a page has.
        if (event.inputType.startsWith('format')) event.preventDefault();
    }
  }

  private onKeyDown(event: KeyboardEvent): void {
    if (event.isComposing) return;
    const { element, slot } = this.place;
    const control = event.ctrlKey || event.metaKey;
    const act = (does: () => void) => {
      event.preventDefault();
      event.stopPropagation();
      if (!this.isWaiting) does();
    };
    const moved = (changed: unknown) => {
      if (changed) this.changed();
    };
    if (this.isWaiting && event.key.length === 1 && !control) {
      this.queued += event.key;
      return act(() => undefined);
    }
    if (control && !event.altKey) {
      const key = event.key.toLowerCase();
      if (key === 'b') act(() => this.mark('strong'));
      else if (key === 'i') act(() => this.mark('em'));
      else if (key === 'e') act(() => this.mark('code'));
      else if (key === 'k') act(() => this.around.onLink());
      else if (key === 'z' || key === 'y')
        act(() => {
          this.store();
          this.around.passOn(event);
        });
      return;
    }
    if (event.key === 'Escape') return act(() => this.leave());
    // A space presses a button, even where its label is being written.
    if (event.key === ' ' && element.closest('button')) return act(() => void this.around.page.execCommand('insertText', false, ' '));
    if (event.key === 'Enter' && !event.shiftKey) return act(() => this.enter());
    if (event.key === 'Tab' && slot.kind === 'list') return act(() => moved(event.shiftKey ? outdent(element) : indent(element)));
    if (event.key === 'Tab' && slot.kind === 'table') return act(() => stepCell(element, event.shiftKey ? 'before' : 'next'));
    if (event.key === 'Backspace' && !event.altKey) {
      if (slot.kind === 'list' && joinItem(element)) return act(() => this.changed());
      if (runsOn(this.place) && isAtStart(element)) return act(() => void this.join());
    }
  }

  private enter(): void {
    const { element, slot } = this.place;
    if (slot.kind === 'table') return stepCell(element, 'down');
    if (slot.kind === 'list') {
      if (nextItem(element)) return this.changed();
      const parts = leaveAt(element);
      const others = elementsOf(this.place);
      const at = others.indexOf(element);
      const html = (some: HTMLElement[]) => some.map((e) => e.outerHTML).join('');
      if (parts) void this.split(html(others.slice(0, at)) + parts.before, parts.after + html(others.slice(at + 1)));
      return;
    }
    const parts = runsOn(this.place) ? around(element) : null;
    if (parts) void this.split(parts.before, parts.after);
    else this.leave();
  }

  private leave(): void {
    this.end();
    this.around.onLeave();
  }

  private async split(before: string, after: string): Promise<void> {
    const { block, slot } = this.place;
    const id = crypto.randomUUID();
    await this.make({ kind: 'splitContent', block, slot: slot.id, before, after, id }, { find: () => id, caret: 0 });
  }

  private async join(): Promise<void> {
    const { element, block, slot } = this.place;
    const before = element.closest('[data-block]')?.previousElementSibling;
    const into = before?.getAttribute('data-block') ?? null;
    const held = before?.querySelector<HTMLElement>('[data-slot]') ?? (before as HTMLElement | null);
    const isEmpty = before?.hasAttribute('data-empty') === true;
    const caret = isEmpty ? 0 : (held?.textContent?.trim().length ?? 0);
    await this.make({ kind: 'joinContent', block, slot: slot.id, html: htmlOf(this.place) }, { find: () => into, caret });
  }

  private async onPaste(event: ClipboardEvent): Promise<void> {
    event.preventDefault();
    const { onSay, page } = this.around;
    const { element, block, slot } = this.place;
    const html = event.clipboardData?.getData('text/html') ?? '';
    const text = event.clipboardData?.getData('text/plain') ?? '';
    if (this.isWaiting || (html === '' && text === '')) return;
    this.isWaiting = true;
    const read = await readText(html, text);
    if (typeof read === 'string') {
      this.resume();
      return onSay(read);
    }
    const [first, ...rest] = read.lines;
    // One line is a piece of one: the spaces at its ends are meant.
    if (first && rest.length === 0 && html === '')
      first.splice(0, first.length, ...(/^\s/.test(text) ? [SPACE] : []), ...first, ...(/\s$/.test(text) ? [SPACE] : []));
    const left = read.dropped.length > 0 ? `Left out: ${read.dropped.join(', ')}.` : null;
    const parts = around(element);
    if (first && parts && slot.kind === 'text' && runsOn(this.place) && (read.pieces.length > 1 || read.pieces[0]?.part !== 'paragraph')) {
      const id = crypto.randomUUID();
      const isNew = (b: string) => b === id || b.startsWith(`${id}-`);
      const last = (inside: Document) =>
        [...inside.querySelectorAll<HTMLElement>('[data-block]')]
          .map((e) => e.dataset.block ?? '')
          .filter(isNew)
          .at(-1) ?? block;
      const holder = page.createElement('div');
      holder.innerHTML = parts.after;
      const following = holder.textContent?.length ?? 0;
      await this.make(
        { kind: 'pasteContent', block, slot: slot.id, before: parts.before, after: parts.after, pieces: read.pieces, id },
        { find: last, caret: -1 - following, said: left },
      );
    } else if (!first) {
      this.resume();
    } else {
      this.insert(slot.kind === 'list' ? [first] : [[first, ...rest].flatMap((line, i) => (i > 0 ? [SPACE, ...line] : line))]);
      if (slot.kind === 'list') for (const line of rest) if (nextItem(element)) this.insert([line]);
      this.resume();
      this.changed();
    }
    if (left) onSay(left);
    else if (!first) onSay('There is no text in what was copied.');
  }

  private insert(lines: Schemas['Run'][][]): void {
    const { page } = this.around;
    const range = rangeIn(this.place.element);
    if (!range) return;
    range.deleteContents();
    const nodes = nodesOf(page, lines.flat());
    for (const node of [...nodes].reverse()) range.insertNode(node);
    const last = nodes.at(-1);
    if (last) page.getSelection()?.collapse(last.parentNode, [...(last.parentNode?.childNodes ?? [])].indexOf(last as ChildNode) + 1);
  }

  /** Makes a change of structure with what is written here in it: writing goes on where it leads. */
  private async make(edit: Edit, next: Omit<Next, 'typed'>): Promise<void> {
    const { store, onSay, onNext } = this.around;
    this.isWaiting = true;
    // What was typed goes along in the edit.
    const typed = store.getState().typed[this.key];
    if (typed && edit.kind !== 'linesToList' && edit.kind !== 'listToLines') store.getState().takeStored(this.key);
    const wrong = await store.getState().make(edit, { saidAtItsPlace: true });
    if (wrong === null) return onNext({ ...next, typed: () => this.queued });
    this.resume();
    if (typed) this.changed();
    onSay(wrong);
  }
}

const SPACE: Schemas['Run'] = { text: ' ', isStrong: false, isEmphasis: false, isCode: false };

/** What a pasted text comes to, or why it could not be read. */
async function readText(html: string, text: string): Promise<Schemas['ReadText'] | string> {
  try {
    return await answered(
      api.POST('/api/texts/read', { body: { form: html === '' ? 'markdown' : 'html', text: html === '' ? text : html } }),
    );
  } catch (failed) {
    return (failed as Error).message;
  }
}
