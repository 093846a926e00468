import { kindOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { SettingsOf } from '../../things/SettingsOf';
import { groupBy } from '../../ui/groupBy';

/** The page's own surface over its ground, and the column beside its content. */
export function PaperPanel() {
  const kind = useEditing((e) => kindOf(e.catalogue, 'paper'));
  const groups = [...groupBy(kind?.fields ?? [], (f) => f.group)];
  return (
    <>
      {groups.map(([group, fields]) => (
        <div key={group}>
          <div className="subhead">
            <strong>{group}</strong>
            <span className="quiet">
              {group === 'Sidebar'
                ? 'room beside the content; what stands in it comes with the frame'
                : 'the page as a sheet over its ground'}
            </span>
          </div>
          <SettingsOf kind="paper" id="paper" fields={fields} label={group} />
        </div>
      ))}
    </>
  );
}
