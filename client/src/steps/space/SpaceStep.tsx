import { StepViews, useStepView } from '../../site/StepViews';
import { PagePanel } from './PagePanel';
import { PaperPanel } from './PaperPanel';
import { ScalePanel } from './ScalePanel';
import { TextPanel } from './TextPanel';
import './SpaceStep.css';

const VIEWS = [
  { value: 'scale', label: 'Scale' },
  { value: 'text', label: 'Around text' },
  { value: 'page', label: 'Page' },
  { value: 'paper', label: 'Paper' },
] as const;

/** The rhythm of a site: its spaces, where they are used on every page, and the paper. */
export default function SpaceStep() {
  const view = useStepView(VIEWS);
  return (
    <section className="step-panel" aria-label="Space">
      <div className="bar">
        <h1>Space</h1>
        <StepViews label="Part of the space" views={VIEWS} view={view} />
      </div>
      {view === 'scale' ? (
        <ScalePanel />
      ) : (
        // Long lists scroll, and are reached by key.
        // eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex
        <div className="scroll" tabIndex={0} role="group" aria-label={VIEWS.find((v) => v.value === view)?.label}>
          {view === 'text' ? <TextPanel /> : view === 'page' ? <PagePanel /> : <PaperPanel />}
        </div>
      )}
    </section>
  );
}
