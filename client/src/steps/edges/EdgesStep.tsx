import { StepViews, useStepView } from '../../site/StepViews';
import { ThingsPanel } from '../../things/ThingsPanel';
import { VIEWS } from './views';

/** Named edges, used in the looks of parts. */
export default function EdgesStep() {
  const view = useStepView(VIEWS);
  const { kind } = VIEWS.find((v) => v.value === view) ?? VIEWS[0];
  return (
    <section className="step-panel" aria-label="Edges">
      <div className="bar">
        <h1>Edges</h1>
        <StepViews label="Part of the edges" views={VIEWS} view={view} />
      </div>
      <ThingsPanel key={kind} kind={kind} />
    </section>
  );
}
