import type { FieldValueView, SettingView, ThingView } from '../api/client';
import { namesIn } from '../site/catalogue';
import { useEditing } from '../site/editingContext';
import { ValueCell } from '../values/ValueCell';

interface Props {
  /** Code of the thing's kind. */
  kind: string;
  thing: ThingView;
  setting: SettingView;
  value: FieldValueView;
  /** Whether what is to be known of it is said here too. */
  noted?: boolean;
}

/** A setting of a thing, edited in place. */
export function ThingField({ kind, thing, setting, value, noted = true }: Props) {
  const names = useEditing((e) => e.site.names);
  return (
    <ValueCell
      name={`${setting.name} of ${thing.name}`}
      text={value.text}
      inherited={null}
      names={value.names ?? namesIn(names, setting)}
      edit={(text) => ({ kind: 'setThing', of: kind, id: thing.id, field: setting.id, text: text ?? '', in: null })}
      {...(noted && { note: value.note })}
    />
  );
}
