import { Button } from 'antd';
import { useSearchParams } from 'react-router';
import type { Schemas } from '../../api/client';
import { fieldText, kindOf, thingOf, thingsOf } from '../../site/catalogue';
import { Shortened } from '../../ui/Shortened';
import { useEditing } from '../../site/editingContext';
import { useFocusNext } from '../../site/useFocusNext';
import { BelowList } from '../../things/BelowList';
import { useTriedChoice } from '../../values/useTriedChoice';
import { useSetAddress } from '../../site/address';
import { ColorSelect } from './ColorSelect';
import { SchemeHead, setScheme } from './SchemeHead';
import { useColorSteps } from '../../site/useColorSteps';
import './SchemesPanel.css';

type RoleView = Schemas['RoleView'];

/** Which colour each role has in a scheme, and how it reads on its grounds; the chosen role can be changed below. */
export function SchemesPanel() {
  const schemes = useEditing((e) => e.site.schemes);
  const roles = useEditing((e) => thingsOf(e.site, 'role'));
  const kind = useEditing((e) => kindOf(e.catalogue, 'role'));
  const [params] = useSearchParams();
  const setAddress = useSetAddress();
  const scheme = schemes.find((s) => s.id === params.get('scheme')) ?? schemes[0];
  const adding = params.get('role') === 'new';
  const chosen = adding ? undefined : roles.find((r) => r.id === params.get('role'));
  const choose = (role: string) => setAddress({ role });
  const [panel, focusNext] = useFocusNext<HTMLDivElement>(adding ? 'new' : chosen?.id);
  if (!scheme || !kind) return <p className="empty">This site has no scheme.</p>;
  return (
    <div ref={panel} className="panel-column">
      <SchemeHead scheme={scheme} schemes={schemes} />
      <div className="rows-above-editor">
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
              <RoleRow
                key={role.id}
                scheme={scheme.id}
                role={role}
                roles={scheme.roles}
                chosen={role.id === chosen?.id}
                onChoose={() => choose(role.id === chosen?.id ? '' : role.id)}
              />
            ))}
          </tbody>
        </table>
      </div>
      <div className="below-rows">
        <Button size="small" disabled={adding} onClick={() => choose('new')}>
          Add a role
        </Button>
      </div>
      <BelowList kind={kind} chosen={chosen} things={roles} adding={adding} choose={choose} focusNext={focusNext} />
    </div>
  );
}

interface RoleProps {
  scheme: string;
  role: RoleView;
  roles: readonly RoleView[];
  chosen: boolean;
  onChoose: () => void;
}

function RoleRow({ scheme, role, roles, chosen, onChoose }: RoleProps) {
  const colors = useColorSteps();
  const field = `colors/${role.id}`;
  const text = useEditing((e) => fieldText(thingOf(e.site, 'scheme', scheme), field));
  const tried = useTriedChoice((choice) => setScheme(scheme, field, choice));
  const computed = {
    label: 'Computed',
    options: roles.filter((r) => r.id !== role.id).map((r) => ({ value: `readable on ${r.name}`, label: `readable on ${r.name}` })),
  };
  return (
    <tr className={chosen ? 'chosen' : ''}>
      <th scope="row">
        <button type="button" aria-pressed={chosen} title={`${role.name}: what it must be readable on`} onClick={onChoose}>
          <Shortened text={role.name} />
        </button>
      </th>
      <td>
        <ColorSelect
          label={`Colour of ${role.name}`}
          className="role-choice"
          value={text}
          colors={colors}
          first={computed}
          shown={
            <span className="swatched">
              <span className="swatch" style={{ background: role.hex }} />{' '}
              <strong title={role.source}>
                <Shortened text={role.source} />
              </strong>
              {role.readableOn && <span className="quiet">computed</span>}
            </span>
          }
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
