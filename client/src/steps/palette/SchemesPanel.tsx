import { Select } from 'antd';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { Shortened } from '../../app/Shortened';
import { useActions, useEditing } from '../../app/editingContext';
import { useTriedChoice } from '../useTriedChoice';
import { useSetAddress } from '../../app/address';

type RoleView = Schemas['RoleView'];

/** Which colour each role has in a scheme, and how it reads on its grounds. */
export function SchemesPanel() {
  const schemes = useEditing((e) => e.site.schemes);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const { make } = useActions();
  const scheme = schemes.find((s) => s.id === params.get('scheme')) ?? schemes[0];
  if (!scheme) return <p className="empty">This site has no scheme.</p>;
  return (
    <>
      <div className="subhead">
        <Select
          aria-label="Scheme"
          size="small"
          value={scheme.id}
          options={schemes.map((s) => ({ value: s.id, label: s.name }))}
          onChange={(id: string) => setAddress({ scheme: id })}
        />
        <span className="turns">
          <span className="quiet">Visitor prefers dark:</span>
          <Select
            aria-label={`What ${scheme.name} turns into when the visitor prefers dark`}
            size="small"
            value={scheme.turnsInto ?? ''}
            options={[
              { value: '', label: 'stays as it is' },
              ...schemes.filter((s) => s.id !== scheme.id).map((s) => ({ value: s.id, label: `turns into ${s.name}` })),
            ]}
            popupMatchSelectWidth={false}
            onChange={(into: string) => void make({ kind: 'turnScheme', scheme: scheme.id, into: into || null })}
          />
        </span>
      </div>
      <table className="roles" aria-label={`Roles in ${scheme.name}`}>
        <thead>
          <tr>
            <th scope="col">Role</th>
            <th scope="col">Colour</th>
            <th scope="col">Contrast on</th>
          </tr>
        </thead>
        <tbody>
          {scheme.roles.map((role) => (
            <RoleRow key={role.id} scheme={scheme.id} role={role} roles={scheme.roles} />
          ))}
        </tbody>
      </table>
    </>
  );
}

function RoleRow({ scheme, role, roles }: { scheme: string; role: RoleView; roles: readonly RoleView[] }) {
  const colors = useEditing((e) => e.site.colors);
  const tried = useTriedChoice((choice) => ({ kind: 'setRole', scheme, role: role.id, choice: parse(choice) }));
  const options = [
    {
      label: 'Computed',
      options: roles.filter((r) => r.id !== role.id).map((r) => ({ value: `on ${r.id}`, label: `readable on ${r.name}` })),
    },
    ...colors.map((color) => ({
      label: color.name,
      options: [
        ...[...color.tints].map((_, i) => ({ value: `${color.id} ${i + 1}`, label: `${color.name} tint ${i + 1}` })).reverse(),
        { value: `${color.id} 0`, label: color.name },
        ...color.shades.map((_, i) => ({ value: `${color.id} ${-i - 1}`, label: `${color.name} shade ${i + 1}` })),
      ],
    })),
  ];
  return (
    <tr>
      <th scope="row">{role.name}</th>
      <td>
        <Select
          aria-label={`Colour of ${role.name}`}
          variant="borderless"
          className="role-choice"
          value={role.readableOn ? `on ${role.readableOn}` : `${role.color} ${role.step}`}
          options={options}
          showSearch={{ optionFilterProp: 'label' }}
          popupMatchSelectWidth={240}
          listHeight={360}
          labelRender={() => (
            <span className="swatched">
              <span className="swatch" style={{ background: role.hex }} />{' '}
              <strong title={role.source}>
                <Shortened text={role.source} />
              </strong>
              {role.readableOn && <span className="quiet">computed</span>}
            </span>
          )}
          optionRender={(option) => (
            <span className="swatched">
              <OptionSwatch value={String(option.value)} /> <Shortened text={String(option.label)} />
            </span>
          )}
          {...tried}
        />
      </td>
      <td className="pairs">
        {role.pairs.map((pair) => (
          <span key={pair.on} className={pair.passes ? 'pass' : 'fail'}>
            {pair.passes ? '✓' : '✗'} {pair.ratio.toFixed(1)} {pair.on}
            {!pair.passes && ` · needs ${pair.target}`}
          </span>
        ))}
      </td>
    </tr>
  );
}

function OptionSwatch({ value }: { value: string }) {
  const colors = useEditing((e) => e.site.colors);
  const { color: id, step } = parse(value);
  const color = colors.find((c) => c.id === id);
  if (!color) return null;
  const hex = step > 0 ? color.tints[step - 1] : step < 0 ? color.shades[-step - 1] : color.hex;
  return <span className="swatch" style={{ background: hex }} />;
}

/** "on ROLE" or "COLOUR STEP", as the options carry it. */
function parse(choice: string): Schemas['RoleColor'] {
  const [first = '', second = ''] = choice.split(' ');
  return first === 'on' ? { color: null, step: 0, readableOn: second } : { color: first, step: Number(second), readableOn: null };
}
