import { fieldText } from '../../site/catalogue';
import { ThingsPanel } from '../../things/ThingsPanel';
import { GradientDrawing } from './GradientDrawing';
import { GradientStrip } from './GradientStrip';
import './FillsStep.css';

/** Named gradients, used in the looks of parts and along lines. */
export default function FillsStep() {
  return (
    <section className="step-panel" aria-label="Fills">
      <div className="bar">
        <h1>Fills</h1>
      </div>
      <ThingsPanel
        kind="gradient"
        row={(thing) => <GradientStrip thing={thing} />}
        group={(thing) => fieldText(thing, 'group')}
        drawn={(thing) => <GradientDrawing key={thing.id} thing={thing} />}
        drawsItems
      />
    </section>
  );
}
