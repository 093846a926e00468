import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { useSetAddress } from './address';

interface Props<T extends string> {
  /** What the views are views of, for screen readers. */
  label: string;
  views: readonly { value: T; label: string }[];
  view: T;
}

/** The view of a step the address names; the first where it names none. */
export function useStepView<T extends string>(views: readonly { value: T; label: string }[]): T {
  const [params] = useSearchParams();
  return (views.find((v) => v.value === params.get('view')) ?? (views[0] as { value: T })).value;
}

/** Chooses between the views of a step; the choice stands in the address. */
export function StepViews<T extends string>({ label, views, view }: Props<T>) {
  const setAddress = useSetAddress();
  return <Segmented aria-label={label} value={view} options={[...views]} onChange={(next) => setAddress({ view: next })} />;
}
