import { StepViews, useStepView } from '../../site/StepViews';
import { ThingsPanel } from '../../things/ThingsPanel';
import { EasingDrawing } from './EasingDrawing';
import { RadiusDrawing } from './RadiusDrawing';
import { ShadowDrawing } from './ShadowDrawing';
import { WornPanel } from './WornPanel';
import { LISTS, VIEWS } from './views';
import './EdgesStep.css';

/** Named edges and how things move, used in the looks of parts. */
export default function EdgesStep() {
  const view = useStepView(VIEWS);
  const list = LISTS.find((v) => v.value === view);
  return (
    <section className="step-panel" aria-label="Edges">
      <div className="bar">
        <h1>Edges</h1>
        <StepViews label="Part of the edges" views={VIEWS} view={view} />
      </div>
      {list ? (
        <ThingsPanel
          key={list.kind}
          kind={list.kind}
          drawn={(thing) =>
            list.kind === 'radius' ? (
              <RadiusDrawing thing={thing} />
            ) : list.kind === 'shadow' ? (
              <ShadowDrawing thing={thing} />
            ) : list.kind === 'easing' ? (
              <EasingDrawing thing={thing} />
            ) : null
          }
        />
      ) : (
        <WornPanel />
      )}
    </section>
  );
}
