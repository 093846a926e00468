import { fieldText, thingOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { useFonts } from '../../ui/fonts';
import { ValueCell } from '../../values/ValueCell';
import './ScalePanel.css';

const ENDS = ['narrow', 'wide'] as const;

const ROWS: { name: string; field: string; names: string[] }[] = [
  { name: 'Width', field: 'width', names: [] },
  { name: 'Base', field: 'base', names: ['16', '17', '18'] },
  // The ratios in use: common practice, no published source.
  { name: 'Ratio', field: 'ratio', names: ['1.067', '1.125', '1.2', '1.25', '1.333', '1.414', '1.5', '1.618'] },
];

/** The sizes there are: by base and ratio at two widths, fluid between them. */
export function ScalePanel() {
  const site = useEditing((e) => e.site);
  const steps = site.type.steps;
  const families = useEditing((e) => e.site.type.families);
  const family = useEditing((e) => e.site.type.styles[0]?.fontFamily);
  useFonts(families);
  return (
    <>
      <table className="values" aria-label="Scale">
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Setting</span>
            </th>
            <th scope="col">Narrow</th>
            <th scope="col">Wide</th>
          </tr>
        </thead>
        <tbody>
          {ROWS.map((row) => (
            <tr key={row.name}>
              <th scope="row">{row.name}</th>
              {ENDS.map((end) => (
                <td key={end}>
                  <ValueCell
                    name={`${row.name}, ${end}`}
                    text={fieldText(thingOf(site, 'scaleEnd', end), row.field)}
                    inherited={null}
                    names={row.names}
                    edit={(text) => ({ kind: 'setThing', of: 'scaleEnd', id: end, field: row.field, text: text ?? '', in: null })}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="subhead">
        <strong>Sizes</strong>
        <span className="quiet">fluid between the two widths, still outside</span>
      </div>
      <table className="values sizes" aria-label="Sizes">
        <thead>
          <tr>
            <th scope="col">Size</th>
            {steps[0]?.sizes.map((s) => (
              <th key={s.width} scope="col">
                at {s.width}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {steps.map((step) => (
            <tr key={step.step}>
              <th scope="row" title={`${step.variable}: ${step.css}`}>
                {step.label}
              </th>
              {step.sizes.map((s) => (
                <td key={s.width}>
                  {s.px}px <span className="quiet">{s.rem}rem</span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="scale-letters" aria-hidden="true" style={{ fontFamily: family }}>
        {[...steps].reverse().map((step) => (
          <span key={step.step} style={{ fontSize: step.sizes[step.sizes.length - 1]?.px }}>
            Aa
          </span>
        ))}
      </div>
      <details className="scale-css">
        <summary>The CSS it becomes</summary>
        <pre>{steps.map((step) => `${step.variable}: ${step.css};`).join('\n')}</pre>
      </details>
    </>
  );
}
