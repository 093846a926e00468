import { lazy, Suspense, useEffect, useReducer, type ComponentType } from 'react';
import type { Step } from '../site/step';
import { useArrival } from '../site/arrival';
import { Boundary } from './Boundary';
import { STEPS } from './steps';
import { Waiting } from '../ui/Waiting';

const views = new Map<Step, ComponentType>();

function viewOf(step: Step): ComponentType {
  const View = views.get(step) ?? lazy(step.load);
  views.set(step, View);
  return View;
}

/** A step, which comes when it is first gone to, or before where there is time: it may be gone to without a connection. */
export function StepPanel({ step }: { step: Step }) {
  const [, again] = useReducer((n: number) => n + 1, 0);
  useEffect(() => {
    const idle = requestIdleCallback(() => {
      // Browser tests wait for all of them.
      void Promise.all(STEPS.map((other) => other.load())).then(
        () => (document.documentElement.dataset.steps = 'here'),
        () => undefined,
      );
    });
    return () => cancelIdleCallback(idle);
  }, []);
  const View = viewOf(step);
  const panel = useArrival<HTMLDivElement>('panel');
  return (
    <div ref={panel} className="step-host" tabIndex={-1}>
      <Boundary
        key={step.id}
        title={`${step.name} cannot be shown just now`}
        onRetry={() => {
          // What failed to load would be remembered as failed.
          views.delete(step);
          again();
        }}
      >
        <Suspense fallback={<Loading />}>
          {/* One view for each step, made once. */}
          {/* eslint-disable-next-line react-hooks/static-components */}
          <View />
        </Suspense>
      </Boundary>
    </div>
  );
}

/** Stands where something is still on its way. */
function Loading() {
  useEffect(() => {
    document.documentElement.dataset.loading = '';
    return () => {
      delete document.documentElement.dataset.loading;
    };
  }, []);
  return <Waiting />;
}
