import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { ColorsPanel } from './ColorsPanel';
import { PairsPanel } from './PairsPanel';
import { SchemesPanel } from './SchemesPanel';

/** Colours, their tints and shades, and what they are for. */
export function PaletteStep() {
  const [params, setParams] = useSearchParams();
  const view = params.get('view');
  const part = view === 'schemes' || view === 'pairs' ? view : 'colours';
  const turn = (view: string) =>
    setParams(
      (before) => {
        const next = new URLSearchParams(before);
        next.set('view', view);
        return next;
      },
      { replace: true },
    );
  return (
    <section className="step-panel" aria-label="Palette">
      <div className="bar">
        <h1>Palette</h1>
        <Segmented
          aria-label="Part of the palette"
          value={part}
          options={[
            { value: 'colours', label: 'Colours' },
            { value: 'schemes', label: 'Schemes' },
            { value: 'pairs', label: 'Pairs' },
          ]}
          onChange={turn}
        />
      </div>
      {part === 'colours' && <ColorsPanel />}
      {part === 'schemes' && <SchemesPanel />}
      {part === 'pairs' && <PairsPanel />}
    </section>
  );
}
