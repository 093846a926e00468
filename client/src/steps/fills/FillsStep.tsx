import { fieldText } from '../../site/catalogue';
import { StepViews, useStepView } from '../../site/StepViews';
import { ThingsPanel } from '../../things/ThingsPanel';
import { BackgroundDrawing, BackgroundStrip } from './BackgroundDrawing';
import { Clips } from './Clips';
import { GradientDrawing } from './GradientDrawing';
import { GradientStrip } from './GradientStrip';
import { Pictures } from './Pictures';
import { VIEWS } from './views';
import './FillsStep.css';

/** Named fills, used in the looks of parts and along lines. */
export default function FillsStep() {
  const view = useStepView(VIEWS);
  return (
    <section className="step-panel" aria-label="Fills">
      <div className="bar">
        <h1>Fills</h1>
        <StepViews label="Part of the fills" views={VIEWS} view={view} />
      </div>
      {view === 'gradients' ? (
        <ThingsPanel
          key="gradient"
          kind="gradient"
          row={(thing) => <GradientStrip thing={thing} />}
          group={(thing) => fieldText(thing, 'group')}
          drawn={(thing) => <GradientDrawing key={thing.id} thing={thing} />}
          drawsItems
        />
      ) : view === 'pictures' ? (
        <Pictures />
      ) : view === 'clips' ? (
        <Clips />
      ) : (
        <ThingsPanel
          key="background"
          kind="background"
          row={(thing) => <BackgroundStrip thing={thing} />}
          group={(thing) => fieldText(thing, 'group')}
          drawn={(thing) => <BackgroundDrawing key={thing.id} thing={thing} />}
          drawsItems
        />
      )}
    </section>
  );
}
