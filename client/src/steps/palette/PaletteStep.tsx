import { StepViews, useStepView } from '../../site/StepViews';
import { ColorsPanel } from './ColorsPanel';
import { PairsPanel } from './PairsPanel';
import { SchemesPanel } from './SchemesPanel';

const VIEWS = [
  { value: 'colours', label: 'Colours' },
  { value: 'schemes', label: 'Schemes' },
  { value: 'pairs', label: 'Pairs' },
] as const;

/** Colours, their tints and shades, and what they are for. */
export default function PaletteStep() {
  const view = useStepView(VIEWS);
  return (
    <section className="step-panel" aria-label="Palette">
      <div className="bar">
        <h1>Palette</h1>
        <StepViews label="Part of the palette" views={VIEWS} view={view} />
      </div>
      {view === 'colours' && <ColorsPanel />}
      {view === 'schemes' && <SchemesPanel />}
      {view === 'pairs' && <PairsPanel />}
    </section>
  );
}
