import type { Schemas } from '../../api/client';
import { useEditing } from '../../app/editingContext';
import { ValueCell } from '../../ledger/ValueCell';
import { useFonts } from './fonts';

type Setting = Schemas['ScaleSetting'];

const ROWS: { name: string; unit: string; narrow: Setting; wide: Setting; of: 'width' | 'base' | 'ratio'; names: string[] }[] = [
  { name: 'Width', unit: ' px', narrow: 'narrowWidth', wide: 'wideWidth', of: 'width', names: [] },
  { name: 'Base', unit: ' px', narrow: 'narrowBase', wide: 'wideBase', of: 'base', names: ['16', '17', '18'] },
  // The ratios in use: common practice, no published source.
  {
    name: 'Ratio',
    unit: '',
    narrow: 'narrowRatio',
    wide: 'wideRatio',
    of: 'ratio',
    names: ['1.067', '1.125', '1.2', '1.25', '1.333', '1.414', '1.5', '1.618'],
  },
];

/** The sizes there are: by base and ratio at two widths, fluid between them. */
export function ScalePanel() {
  const scale = useEditing((e) => e.site.type.scale);
  const families = useEditing((e) => e.site.type.families);
  const family = useEditing((e) => e.site.type.styles[0]?.css.fontFamily);
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
              {(['narrow', 'wide'] as const).map((end) => (
                <td key={end}>
                  <ValueCell
                    name={`${row.name}, ${end}`}
                    text={`${scale[end][row.of]}${row.unit}`}
                    inherited=""
                    names={row.names}
                    edit={(text) => ({ kind: 'setScale', setting: row[end], text: text ?? '' })}
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
            {scale.steps[0]?.sizes.map((s) => (
              <th key={s.width} scope="col">
                at {s.width}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {scale.steps.map((step) => (
            <tr key={step.step}>
              <th scope="row" title={`${step.variable}: ${step.css}`}>
                {step.label}
              </th>
              {step.sizes.map((s) => (
                <td key={s.width}>
                  {s.px} px <span className="quiet">{s.rem} rem</span>
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <div className="scale-letters" aria-hidden="true" style={{ fontFamily: family }}>
        {[...scale.steps].reverse().map((step) => (
          <span key={step.step} style={{ fontSize: step.sizes[step.sizes.length - 1]?.px }}>
            Aa
          </span>
        ))}
      </div>
      <details className="scale-css">
        <summary>The CSS it becomes</summary>
        <pre>{scale.steps.map((step) => `${step.variable}: ${step.css};`).join('\n')}</pre>
      </details>
    </>
  );
}
