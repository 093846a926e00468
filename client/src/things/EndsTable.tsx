import { kindOf, thingOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { FieldOf } from './FieldOf';

const ENDS = ['narrow', 'wide'] as const;

interface Props {
  /** Code of the kind of which there is a narrow end and a wide one. */
  kind: string;
  label: string;
  /** The settings of an end that count; all where nothing is said. */
  only?: readonly string[];
}

/** The two ends of a scale that is fluid between them, beside each other. */
export function EndsTable({ kind, label, only }: Props) {
  const fields = useEditing((e) => kindOf(e.catalogue, kind)?.fields) ?? [];
  const site = useEditing((e) => e.site);
  return (
    <table className="values" aria-label={label}>
      <thead>
        <tr>
          <th scope="col">Fluid</th>
          {ENDS.map((end) => (
            <th key={end} scope="col">
              {thingOf(site, kind, end)?.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {fields
          .filter((field) => !only || only.includes(field.id))
          .map((field) => (
            <tr key={field.id}>
              <th scope="row">{field.name}</th>
              {ENDS.map((end) => (
                <td key={end}>
                  <FieldOf kind={kind} id={end} field={field.id} />
                </td>
              ))}
            </tr>
          ))}
      </tbody>
    </table>
  );
}
