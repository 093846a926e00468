import { useSearchParams } from 'react-router';

/** The widths the stage shows, with the height of each viewport. */
export const WIDTHS = [
  { width: 390, height: 844 },
  { width: 820, height: 1180 },
  { width: 1280, height: 800 },
] as const;

export const FORCED = ['rest', 'hover', 'focus', 'pressed'] as const;
export type Forced = (typeof FORCED)[number];

/** How the stage looks at the site: all of it stands in the address. */
export interface StageView {
  page: string | null;
  width: number;
  fit: boolean;
  show: Forced;
}

export function useStageView(): [StageView, (change: Partial<StageView>) => void] {
  const [params, setParams] = useSearchParams();
  const width = Number(params.get('width'));
  const show = params.get('show') as Forced;
  const view: StageView = {
    page: params.get('page'),
    width: WIDTHS.some((w) => w.width === width) ? width : 1280,
    fit: params.get('scale') !== '100',
    show: FORCED.includes(show) ? show : 'rest',
  };
  const change = (part: Partial<StageView>) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        if (part.page) next.set('page', part.page);
        if (part.width) next.set('width', String(part.width));
        if (part.fit !== undefined) next.set('scale', part.fit ? 'fit' : '100');
        if (part.show) next.set('show', part.show);
        return next;
      },
      { replace: true },
    );
  return [view, change];
}
