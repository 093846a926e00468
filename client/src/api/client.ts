import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type SiteView = Schemas['SiteView'];
export type CatalogueView = Schemas['CatalogueView'];
export type SheetView = Schemas['SheetView'];
export type HistoryView = Schemas['HistoryView'];
export type TrialAnswer = Schemas['TrialAnswer'];
export type Edit = Schemas['Edit'];
export type ThingView = Schemas['ThingView'];
export type FieldValueView = Schemas['FieldValueView'];
export type SettingView = Schemas['SettingView'];
export type ColorView = Schemas['ColorView'];
export type PartView = Schemas['PartView'];
export type LookView = Schemas['LookView'];
export type PropertyView = Schemas['PropertyView'];
export type CellView = Schemas['CellView'];
export type State = Schemas['State'];
export type CssProblem = Schemas['CssProblemView'];

/** Problem details (RFC 9457) with what the server adds to them. */
export interface ProblemDetails {
  status?: number | null;
  title?: string | null;
  detail?: string | null;
  problems?: { path: string; message: string }[];
}

export class RequestFailed extends Error {
  readonly status: number;
  /** What it is about, as a JSON pointer into what was sent; undefined where that is not said. */
  readonly path: string | undefined;
  constructor(problem: ProblemDetails | undefined, status: number) {
    super(problem?.detail ?? problem?.title ?? 'The server did not answer. Your last answered edit is safe.');
    this.status = status;
    this.path = problem?.problems?.[0]?.path;
  }
}

export const api = createClient<paths>({ baseUrl: '' });

/** A file as the body of a request: the schema calls bytes a string. */
export const bytesOf = (file: Blob) => ({ body: file as unknown as string, bodySerializer: (bytes: unknown) => bytes });

/** The answer of a request, or an error whose message a designer can read. */
export async function answered<T>(request: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  let result;
  try {
    result = await request;
  } catch {
    throw new RequestFailed(undefined, 0);
  }
  if (result.data === undefined) throw new RequestFailed(result.error as ProblemDetails | undefined, result.response.status);
  return result.data;
}
