import type { Edit, Schemas, SettingView } from '../../api/client';
import { fieldOf, namesIn, noteOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { ValueCell } from '../../values/ValueCell';

interface Props {
  group: string;
  fields: readonly SettingView[];
  item: Schemas['ThingItemView'];
  /** What the layer is called. */
  name: string;
  edit: (field: string, text: string) => Edit;
}

/** What can be set of a layer under one heading. */
export function LayerSettings({ group, fields, item, name, edit }: Props) {
  return (
    <table className="values settings" aria-label={`${group} of ${name}`}>
      <thead>
        <tr>
          <th scope="colgroup" colSpan={2}>
            {group}
          </th>
        </tr>
      </thead>
      <tbody>
        {fields.map((setting) => (
          <LayerSetting key={setting.id} setting={setting} item={item} name={name} edit={(text) => edit(setting.id, text)} />
        ))}
      </tbody>
    </table>
  );
}

interface LayerSettingProps {
  setting: SettingView;
  item: Schemas['ThingItemView'];
  name: string;
  edit: (text: string) => Edit;
}

function LayerSetting({ setting, item, name, edit }: LayerSettingProps) {
  const names = useEditing((e) => e.site.names);
  const note = noteOf(item, setting.id);
  return (
    <tr className={note === '' ? '' : 'idle'} title={note || undefined}>
      <th scope="row">{setting.name}</th>
      <td>
        <ValueCell
          name={`${setting.name} of ${name}`}
          text={fieldOf(item, setting.id)}
          inherited={null}
          names={namesIn(names, setting)}
          edit={(text) => edit(text ?? '')}
        />
      </td>
    </tr>
  );
}
