import { StepViews, useStepView } from '../../site/StepViews';
import { FamiliesPanel } from './FamiliesPanel';
import { ScalePanel } from './ScalePanel';
import { StylesPanel } from './StylesPanel';
import './TypeStep.css';

const VIEWS = [
  { value: 'styles', label: 'Styles' },
  { value: 'scale', label: 'Scale' },
  { value: 'families', label: 'Families' },
] as const;

/** Families, the sizes there are, and the text styles made of both. */
export default function TypeStep() {
  const view = useStepView(VIEWS);
  return (
    <section className="step-panel" aria-label="Type">
      <div className="bar">
        <h1>Type</h1>
        <StepViews label="Part of the type" views={VIEWS} view={view} />
      </div>
      {view === 'styles' ? (
        <StylesPanel />
      ) : view === 'families' ? (
        <FamiliesPanel />
      ) : (
        // Long lists scroll, and are reached by key.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        <div className="scroll" tabIndex={0} role="group" aria-label="Scale">
          <ScalePanel />
        </div>
      )}
    </section>
  );
}
