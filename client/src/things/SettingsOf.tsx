import type { SettingView } from '../api/client';
import { FieldOf } from './FieldOf';

interface Props {
  /** Code of the thing's kind. */
  kind: string;
  /** Its id. */
  id: string;
  fields: readonly SettingView[];
  label: string;
}

/** Settings of a thing as a table, each edited in place. */
export function SettingsOf({ kind, id, fields, label }: Props) {
  return (
    <table className="values settings" aria-label={label}>
      <tbody>
        {fields.map((field) => (
          <tr key={field.id}>
            <th scope="row">{field.name}</th>
            <td>
              <FieldOf kind={kind} id={id} field={field.id} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
