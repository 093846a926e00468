import { useSearchParams } from 'react-router';
import type { State } from '../api/client';
import { useChangeAddress } from '../site/address';

export interface Viewport {
  width: number;
  height: number;
}

/** The widths the stage shows, with the height of each viewport. */
export const WIDTHS: readonly Viewport[] = [
  { width: 390, height: 844 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800 },
];

/** Between two breaks where no device of the list is: seen when values there are set. */
const BETWEEN: Viewport = { width: 600, height: 960 };

/** A viewport by its width; undefined where the stage has none. */
export const viewportOf = (width: number): Viewport | undefined => [...WIDTHS, BETWEEN].find((w) => w.width === width);

/** A width the stage shows values at that hold within an interval: the one at hand where it does. */
export function widthWithin(from: number | null, below: number | null, at: number): number {
  const holds = (width: number) => width >= (from ?? 0) && width < (below ?? Infinity);
  return [at, ...WIDTHS.map((w) => w.width), BETWEEN.width].find(holds) ?? at;
}

/** The page made from the catalogue: every part, look, state and text style. It is never released. */
export const SPECIMEN = { id: 'specimen', name: 'Specimen' } as const;

export const STATES: readonly State[] = ['rest', 'current', 'hover', 'focus', 'pressed', 'off'];

/** One page at one width, one at every width, every page at one width, or one page in two schemes. */
export const SPANS = ['one', 'widths', 'pages', 'schemes'] as const;
export type Span = (typeof SPANS)[number];

export const PREFERENCES = ['light', 'dark'] as const;
export type Preference = (typeof PREFERENCES)[number];

export const VISIONS = ['full', 'protanopia', 'deuteranopia', 'tritanopia'] as const;
export type Vision = (typeof VISIONS)[number];

/** How much of the deficiency is shown, per cent: of the last the cone type is missing. */
export const SEVERITIES = ['25', '50', '75', '100'] as const;
export type Severity = (typeof SEVERITIES)[number];

/** How the stage looks at the site: all of it stands in the address. */
export interface StageView {
  page: string | null;
  width: number;
  span: Span;
  fit: boolean;
  show: State;
  prefers: Preference;
  vision: Vision;
  severity: Severity;
  /** Whether the stage has the whole window. */
  whole: boolean;
  /** Id of the block selected on stage. */
  selected: string | null;
  /** Ids of the two schemes that are compared; they count for that span alone. */
  schemes: readonly string[];
  /** Whether a reference picture is held against it. */
  reference: boolean;
  /** Id of a block that is brought into sight without being selected; it does not go along to another step. */
  reveal: string | null;
}

/** The names under which the view stands in the address: they go along from step to step. */
export const VIEW_PARAMS = [
  'page',
  'width',
  'span',
  'scale',
  'show',
  'prefers',
  'vision',
  'severity',
  'selected',
  'schemes',
  'reference',
] as const;

const among = <T extends string>(words: readonly T[], word: string | null, otherwise: T): T => words.find((w) => w === word) ?? otherwise;

export function readView(params: URLSearchParams): StageView {
  const width = Number(params.get('width'));
  return {
    page: params.get('page'),
    width: viewportOf(width) ? width : 1280,
    span: among(SPANS, params.get('span'), 'one'),
    fit: params.get('scale') !== '100',
    show: among(STATES, params.get('show'), 'rest'),
    prefers: among(PREFERENCES, params.get('prefers'), 'light'),
    vision: among(VISIONS, params.get('vision'), 'full'),
    severity: among(SEVERITIES, params.get('severity'), '100'),
    whole: params.get('whole') === 'yes',
    selected: params.get('selected'),
    schemes: params.get('schemes')?.split(' ') ?? [],
    reference: params.get('reference') === 'yes',
    reveal: params.get('reveal'),
  };
}

/** The address with parts of the view changed; what is as it would be anyway is left out. */
export function writeView(before: URLSearchParams, change: Partial<StageView>): URLSearchParams {
  const next = new URLSearchParams(before);
  const put = (name: string, value: string | null | undefined, otherwise: string) => {
    if (value === undefined) return;
    if (value === null || value === otherwise) next.delete(name);
    else next.set(name, value);
  };
  put('page', change.page, '');
  put('width', change.width === undefined ? undefined : String(change.width), '1280');
  put('span', change.span, 'one');
  put('scale', change.fit === undefined ? undefined : change.fit ? 'fit' : '100', 'fit');
  put('show', change.show, 'rest');
  put('prefers', change.prefers, 'light');
  put('vision', change.vision, 'full');
  put('severity', change.severity, '100');
  put('whole', change.whole === undefined ? undefined : change.whole ? 'yes' : 'no', 'no');
  put('selected', change.selected, '');
  put('schemes', change.schemes?.join(' '), '');
  put('reference', change.reference === undefined ? undefined : change.reference ? 'yes' : 'no', 'no');
  put('reveal', change.reveal, '');
  return next;
}

export function useStageView(): [StageView, (change: Partial<StageView>) => void] {
  const [params] = useSearchParams();
  const changeAddress = useChangeAddress();
  return [readView(params), (change) => changeAddress((before) => writeView(before, change))];
}
