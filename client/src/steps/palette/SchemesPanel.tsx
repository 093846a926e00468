import { Select } from 'antd';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import type { Edit, Schemas } from '../../api/client';
import { fieldText, kindOf, thingOf, thingsOf } from '../../site/catalogue';
import { Shortened } from '../../ui/Shortened';
import { useActions, useEditing } from '../../site/editingContext';
import { useTriedChoice } from '../../values/useTriedChoice';
import { useSetAddress } from '../../site/address';
import './SchemesPanel.css';

type RoleView = Schemas['RoleView'];

/** Which colour each role has in a scheme, and how it reads on its grounds. */
export function SchemesPanel() {
  const schemes = useEditing((e) => e.site.schemes);
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const { make } = useActions();
  const scheme = schemes.find((s) => s.id === params.get('scheme')) ?? schemes[0];
  const turns = useEditing((e) => fieldText(thingOf(e.site, 'scheme', scheme?.id ?? ''), 'turns-into'));
  const stays = useEditing((e) => kindOf(e.catalogue, 'scheme')?.fields.find((f) => f.id === 'turns-into')?.words[0] ?? '');
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
            value={turns}
            options={[
              { value: stays, label: stays },
              ...schemes.filter((s) => s.id !== scheme.id).map((s) => ({ value: s.name, label: `turns into ${s.name}` })),
            ]}
            popupMatchSelectWidth={false}
            onChange={(text: string) => void make(setScheme(scheme.id, 'turns-into', text))}
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

const setScheme = (id: string, field: string, text: string): Edit => ({ kind: 'setThing', of: 'scheme', id, field, text, in: null });

function RoleRow({ scheme, role, roles }: { scheme: string; role: RoleView; roles: readonly RoleView[] }) {
  const colors = useColorSteps();
  const field = `colors/${role.id}`;
  const text = useEditing((e) => fieldText(thingOf(e.site, 'scheme', scheme), field));
  const tried = useTriedChoice((choice) => setScheme(scheme, field, choice));
  const options = [
    {
      label: 'Computed',
      options: roles.filter((r) => r.id !== role.id).map((r) => ({ value: `readable on ${r.name}`, label: `readable on ${r.name}` })),
    },
    ...colors.map(({ name, steps }) => ({ label: name, options: steps.map((step) => ({ value: step.name, label: step.name })) })),
  ];
  return (
    <tr>
      <th scope="row">{role.name}</th>
      <td>
        <Select
          aria-label={`Colour of ${role.name}`}
          variant="borderless"
          className="role-choice"
          value={text}
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
              <Swatch hex={colors.flatMap((c) => c.steps).find((step) => step.name === option.value)?.hex} />{' '}
              <Shortened text={String(option.label)} />
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

function Swatch({ hex }: { hex: string | undefined }) {
  return hex === undefined ? null : <span className="swatch" style={{ background: hex }} />;
}

/** The colours with their steps by name, lightest first. */
function useColorSteps(): { name: string; steps: { name: string; hex: string }[] }[] {
  const things = useEditing((e) => thingsOf(e.site, 'color'));
  const colors = useEditing((e) => e.site.colors);
  return useMemo(
    () =>
      things.map(({ id, name }) => {
        const color = colors.find((c) => c.id === id);
        const tints = (color?.tints ?? []).map((hex, i) => ({ name: `${name} tint ${i + 1}`, hex }));
        const shades = (color?.shades ?? []).map((hex, i) => ({ name: `${name} shade ${i + 1}`, hex }));
        return { name, steps: [...tints.reverse(), { name, hex: color?.hex ?? '' }, ...shades] };
      }),
    [things, colors],
  );
}
