import { Select } from 'antd';
import { memo, useState } from 'react';
import { useEditing } from '../../site/editingContext';

interface Ground {
  /** The scheme and the role in it; empty for none. */
  id: string;
  hex: string;
}

const NONE: Ground = { id: '', hex: '' };

/** The ground that contrast is shown against: of any role in any scheme, the ground of the first scheme to begin with. */
export function useGround(): [Ground, (id: string) => void] {
  const schemes = useEditing((e) => e.site.schemes);
  const [chosen, setChosen] = useState<string | null>(null);
  const grounds = schemes.flatMap((s) => s.roles.map((role): Ground => ({ id: `${s.id} ${role.id}`, hex: role.hex })));
  return [chosen === '' ? NONE : (grounds.find((g) => g.id === chosen) ?? grounds[0] ?? NONE), setChosen];
}

/** Chooses the ground whose lines of contrast the plane shows. */
export const GroundChoice = memo(function GroundChoice({ ground, onChange }: { ground: string; onChange: (id: string) => void }) {
  const schemes = useEditing((e) => e.site.schemes);
  return (
    <Select
      size="small"
      className="ground-choice"
      aria-label="Ground of the lines of contrast"
      value={ground}
      options={[
        { label: 'Lines of contrast', options: [{ value: '', label: 'No lines of contrast' }] },
        ...schemes.map((s) => ({
          label: s.name,
          options: s.roles.map((role) => ({ value: `${s.id} ${role.id}`, label: `on ${role.name} in ${s.name}` })),
        })),
      ]}
      showSearch={{ optionFilterProp: 'label' }}
      onChange={onChange}
    />
  );
});
