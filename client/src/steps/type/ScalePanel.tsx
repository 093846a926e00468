import { useEditing } from '../../site/editingContext';
import { EndsTable } from '../../things/EndsTable';
import { useFonts } from '../../ui/fonts';
import './ScalePanel.css';

/** The sizes there are: by base and ratio at two widths, fluid between them. */
export function ScalePanel() {
  const site = useEditing((e) => e.site);
  const { steps, ownSizes, words } = site.type;
  const families = useEditing((e) => e.site.type.families);
  const family = useEditing((e) => e.site.type.styles[0]?.fontFamily);
  useFonts(families);
  return (
    <>
      <EndsTable kind="scaleEnd" label="Scale" />
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
            <th scope="col" title="The browser zoom at which it is 200 % as large at every width (WCAG 2.2, SC 1.4.4)">
              Zoom
            </th>
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
              <td className={step.doubledAt === null ? 'fail' : ''}>{step.doubledAt === null ? 'never' : `${step.doubledAt} %`}</td>
            </tr>
          ))}
        </tbody>
        {ownSizes.length > 0 && (
          <tbody>
            <tr className="group-row">
              <th scope="rowgroup" colSpan={5}>
                Sizes of their own
              </th>
            </tr>
            {ownSizes.map((own) => (
              <tr key={own.id}>
                <th scope="row" title={own.text}>
                  {own.style}
                </th>
                {own.sizes.length === 0 ? (
                  <td colSpan={4}>{own.text}, of what is around</td>
                ) : (
                  <>
                    {own.sizes.map((s) => (
                      <td key={s.width}>
                        {s.px}px <span className="quiet">{s.rem}rem</span>
                      </td>
                    ))}
                    <td className="quiet">{own.text}</td>
                  </>
                )}
              </tr>
            ))}
          </tbody>
        )}
      </table>
      <div className="subhead">
        <strong>Drawn</strong>
        <span className="quiet">at {steps[0]?.sizes.at(-1)?.width}, in this site’s words</span>
      </div>
      <ul className="scale-letters" aria-label="The scale drawn">
        {steps.map((step) => (
          <li key={step.step}>
            <span className="quiet">
              {step.label} · {step.sizes.at(-1)?.px}px
            </span>
            <span style={{ fontFamily: family, fontSize: step.sizes.at(-1)?.px }}>{words}</span>
          </li>
        ))}
      </ul>
      <details className="scale-css">
        <summary>The CSS it becomes</summary>
        <pre>{steps.map((step) => `${step.variable}: ${step.css};`).join('\n')}</pre>
      </details>
    </>
  );
}
