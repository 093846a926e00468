import type { Edit, Schemas, ThingView } from '../../api/client';
import { kindOf, noteOf } from '../../site/catalogue';
import { useEditing } from '../../site/editingContext';
import { LayerSettings } from './LayerSettings';

/** The heading of what radial gradients alone have as layers. */
const LIGHT = 'Light';

interface Props {
  /** The background it is a layer of. */
  thing: ThingView;
  item: Schemas['ThingItemView'];
  name: string;
}

/** What can be set of a layer that is a radial gradient: whether it follows the text it lies behind. */
export function LightLayer({ thing, item, name }: Props) {
  const fields = useEditing((e) => kindOf(e.catalogue, 'background')?.items?.fields)?.filter(
    (f) => f.group === LIGHT && noteOf(item, f.id) === '',
  );
  if (!fields?.length) return null;
  const edit = (field: string, text: string): Edit => ({ kind: 'setThing', of: 'background', in: thing.id, id: item.id, field, text });
  return (
    <>
      <div className="setting-groups">
        <LayerSettings group={LIGHT} fields={fields} item={item} name={name} edit={edit} />
      </div>
      <p className="quiet">
        On its text: the first heading of what wears it, or the first paragraph where there is none. Browsers that cannot place it so leave
        it where the gradient has its centre.
      </p>
    </>
  );
}
