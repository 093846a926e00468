/** The versions the frames on stage show; data-stage on the root tells them from outside once all agree. */
const shown = new Map<object, string>();

function mark(): void {
  const versions = new Set(shown.values());
  const root = document.documentElement;
  const version = versions.size === 1 ? [...versions][0] : '';
  if (root.dataset.stage !== version) root.dataset.stage = version ?? '';
}

/** A frame is on its way: until it is there, nothing is settled. */
export function frameLoads(frame: object): void {
  shown.set(frame, '');
  mark();
}

/** A frame shows a version; it counts once its fonts and pictures are there. */
export function frameShows(frame: object, page: Document, version: string): void {
  // What is told of a frame that has gone meanwhile counts no more: its page has neither fonts nor pictures.
  if (!shown.has(frame) || shown.get(frame) === version) return;
  frameLoads(frame);
  void page.fonts.ready
    .then(() => Promise.all([...page.images].map((image) => image.decode().catch(() => undefined))))
    .then(() => {
      if (!shown.has(frame)) return;
      shown.set(frame, version);
      mark();
    });
}

export function frameGone(frame: object): void {
  shown.delete(frame);
  mark();
}
