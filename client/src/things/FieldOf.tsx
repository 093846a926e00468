import { kindOf, thingOf } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { ThingField } from './ThingField';

interface Props {
  /** Code of the thing's kind. */
  kind: string;
  /** Its id. */
  id: string;
  field: string;
}

/** A setting of a thing wherever it stands, edited in place. */
export function FieldOf({ kind, id, field }: Props) {
  const thing = useEditing((e) => thingOf(e.site, kind, id));
  const setting = useEditing((e) => kindOf(e.catalogue, kind)?.fields.find((f) => f.id === field));
  const value = thing?.fields.find((f) => f.id === field);
  return thing && setting && value ? <ThingField kind={kind} thing={thing} setting={setting} value={value} /> : null;
}
