import { useEditing } from '../../site/editingContext';
import { EndsTable } from '../../things/EndsTable';
import { FieldOf } from '../../things/FieldOf';
import { ThingsPanel } from '../../things/ThingsPanel';

/** As long as the longest space is drawn, px. */
const LONGEST = 160;

/** The spacing scale: each space given, or all by base and ratio; fluid between two widths. */
export function ScalePanel() {
  const { steps } = useEditing((e) => e.site.space);
  const largest = Math.max(1, ...steps.map((s) => s.sizes.at(-1)?.px ?? 0));
  return (
    <ThingsPanel
      kind="space"
      above={<ScaleSettings />}
      row={(thing) => {
        const step = steps.find((s) => s.id === thing.id);
        if (!step) return null;
        const [narrow, wide] = [step.sizes[0]?.px, step.sizes.at(-1)?.px];
        return (
          <span className="space-row" title={`${step.variable}: ${step.css}`}>
            <span className="space-figures">
              {narrow === undefined || wide === undefined ? thing.fields[0]?.text : narrow === wide ? `${wide}px` : `${narrow}–${wide}px`}
            </span>
            <span className="space-drawn" aria-hidden="true" style={{ inlineSize: Math.max(1, ((wide ?? 0) / largest) * LONGEST) }} />
          </span>
        );
      }}
      drawn={(thing) => {
        const step = steps.find((s) => s.id === thing.id);
        return (
          step && (
            <p className="space-sizes">
              {step.sizes.length === 0
                ? 'It depends on what is around it.'
                : step.sizes.map((s) => (
                    <span key={s.width}>
                      {s.px}px <span className="quiet">at {s.width}</span>
                    </span>
                  ))}
              <code className="quiet">{step.css}</code>
            </p>
          )
        );
      }}
    />
  );
}

/** How the scale is made, and the widths it is fluid between. */
function ScaleSettings() {
  const { byRatio } = useEditing((e) => e.site.space);
  return (
    <div className="scale-settings">
      <table className="values settings" aria-label="How the scale is made">
        <tbody>
          <tr>
            <th scope="row">Sizes</th>
            <td colSpan={2}>
              <FieldOf kind="spaceScale" id="scale" field="by" />
            </td>
          </tr>
          {byRatio && (
            <tr>
              <th scope="row">The base is space</th>
              <td colSpan={2}>
                <FieldOf kind="spaceScale" id="scale" field="place" />
              </td>
            </tr>
          )}
        </tbody>
      </table>
      <EndsTable kind="spaceEnd" label="The two ends" {...(!byRatio && { only: ['width'] })} />
    </div>
  );
}
