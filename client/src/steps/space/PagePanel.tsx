import { kindOf, thingsOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { FieldOf } from '../../things/FieldOf';
import { SettingsOf } from '../../things/SettingsOf';
import { usesText } from '../../ui/words';

/** Content width, gutters, rhythm and gap at each break, and what holds of all spaces. */
export function PagePanel() {
  const kind = useEditing((e) => kindOf(e.catalogue, 'pageSpacing'));
  const rules = useEditing((e) => kindOf(e.catalogue, 'spaceRules'));
  const pages = useEditing((e) => thingsOf(e.site, 'pageSpacing'));
  const { measures } = useEditing((e) => e.site.space);
  return (
    <>
      <table className="values page-spacing" aria-label="Space of the page">
        <thead>
          <tr>
            <th scope="col">
              <span className="unseen">Measure</span>
            </th>
            {pages.map((page) => (
              <th key={page.id} scope="col">
                {page.name}
              </th>
            ))}
            <th scope="col">Uses</th>
          </tr>
        </thead>
        <tbody>
          {kind?.fields.map((field) => {
            const uses = measures.find((m) => m.id === field.id)?.uses ?? [];
            return (
              <tr key={field.id}>
                <th scope="row">{field.name}</th>
                {pages.map((page) => (
                  <td key={page.id}>
                    <FieldOf kind="pageSpacing" id={page.id} field={field.id} />
                  </td>
                ))}
                <td className="quiet uses-cell" title={uses.join('\n')}>
                  {usesText(uses)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="hint">
        Looks name these as{' '}
        {measures.map((m, i) => (
          <span key={m.id}>
            {i > 0 && ', '}
            <code>{m.name}</code>
          </span>
        ))}
        : what does so follows them at every width.
      </p>
      <div className="subhead">
        <strong>Rules</strong>
        <span className="quiet">for every space of the site</span>
      </div>
      <SettingsOf kind="spaceRules" id="rules" fields={rules?.fields ?? []} label="Rules" />
    </>
  );
}
