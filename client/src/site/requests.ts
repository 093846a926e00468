import { answered, api, bytesOf, type Edit, type Schemas } from '../api/client';
import { newGesture, windowId } from './window';

export type OpenedSite = Schemas['OpenedSite'];
export type EditAnswer = Schemas['EditAnswer'];

/** Where a picture is shown: in a block that has a place for one, or in a new one at a place. */
export interface PictureSpot {
  block: string;
  page?: string;
  parent?: string;
  at?: number;
}

/** A post whose picture it is. */
export interface PostSpot {
  post: string;
}

/** What is asked of the server about one site. */
export function requestsOf(slug: string, openedAt?: number) {
  const path = { slug };
  const from = (version: number, gesture: string) => ({ version, window: windowId, openedAt: openedAt ?? version, gesture });
  return {
    read: (): Promise<OpenedSite> =>
      answered(
        api.GET('/api/sites/{slug}', {
          params: { path, query: openedAt === undefined ? { window: windowId } : { window: windowId, openedAt } },
        }),
      ),
    make: (version: number, edit: Edit, gesture: string): Promise<EditAnswer> =>
      answered(api.POST('/api/sites/{slug}/edits', { params: { path }, body: { ...from(version, gesture), edit } })),
    reverse: (version: number, way: 'undo' | 'redo', overwrite: boolean): Promise<EditAnswer> =>
      answered(
        api.POST(way === 'undo' ? '/api/sites/{slug}/undo' : '/api/sites/{slug}/redo', {
          params: { path },
          body: { ...from(version, newGesture()), overwrite },
        }),
      ),
    bringBack: (version: number, snapshot: string): Promise<EditAnswer> =>
      answered(
        api.POST('/api/sites/{slug}/snapshots/{id}/back', {
          params: { path: { ...path, id: snapshot } },
          body: from(version, newGesture()),
        }),
      ),
    addFont: (version: number, file: File, family: string | null, replaces: string | null) =>
      answered(
        api.POST('/api/sites/{slug}/fonts', {
          params: {
            path,
            query: { ...from(version, newGesture()), ...(family !== null && { family }), ...(replaces !== null && { replaces }) },
          },
          ...bytesOf(file),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    addPicture: (version: number, file: File, spot: PictureSpot | PostSpot | null) =>
      answered(
        api.POST('/api/sites/{slug}/pictures', {
          params: { path, query: { ...from(version, newGesture()), name: file.name, ...spot } },
          ...bytesOf(file),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    replacePicture: (version: number, file: File, item: string) =>
      answered(
        api.POST('/api/sites/{slug}/pictures/{item}', {
          params: { path: { ...path, item }, query: { ...from(version, newGesture()), name: file.name } },
          ...bytesOf(file),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    /** A clip as a file, or the address of one that is elsewhere. */
    addClip: (version: number, clip: File | { name: string; address: string }) =>
      answered(
        api.POST('/api/sites/{slug}/clips', {
          params: {
            path,
            query: { ...from(version, newGesture()), name: clip.name, ...(clip instanceof File ? {} : { address: clip.address }) },
          },
          ...bytesOf(clip instanceof File ? clip : new Blob()),
          headers: { 'Content-Type': 'application/octet-stream' },
        }),
      ),
    earlierSheet: (since: 'edit' | 'name') => answered(api.GET('/api/sites/{slug}/sheet', { params: { path, query: { before: since } } })),
  };
}
