import { Input, Modal } from 'antd';
import { useId, useMemo, useState, type KeyboardEvent } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { useEditing } from '../site/editingContext';
import type { Place } from '../site/step';
import type { Arrival } from '../site/arrival';
import { useSingleKeys } from '../ui/keys';
import { useReturnFocus } from '../ui/useReturnFocus';
import { findPlaces, placesOf } from './places';
import './Find.css';

const MOST = 12;

/** Jumps to any step, part, setting, colour or page by its name. */
export function Find({ onClose }: { onClose: () => void }) {
  useReturnFocus();
  const site = useEditing((e) => e.site);
  const catalogue = useEditing((e) => e.catalogue);
  const singleKeys = useSingleKeys((k) => k.on);
  const places = useMemo(() => placesOf(site, catalogue, singleKeys), [site, catalogue, singleKeys]);
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const { step } = useParams();
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const id = useId();
  const found = findPlaces(places, typed, MOST, params.get('part'));

  const go = (place: Place | undefined) => {
    if (!place) return;
    if (place.act) place.act();
    else {
      const next = new URLSearchParams(params);
      for (const [name, value] of Object.entries(place.params)) next.set(name, value);
      // A step is not seen beside the stage alone.
      if (place.step !== null) next.delete('whole');
      void navigate(
        { pathname: `/sites/${site.slug}/${place.step ?? step ?? 'palette'}`, search: next.toString() },
        { state: { arrive: place.step === null ? 'stage' : 'panel' } satisfies Arrival },
      );
    }
    onClose();
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'ArrowDown') setAt((i) => Math.min(i + 1, found.length - 1));
    else if (event.key === 'ArrowUp') setAt((i) => Math.max(i - 1, 0));
    else if (event.key === 'Enter') go(found[at]);
    else return;
    event.preventDefault();
  };
  return (
    <Modal open title={<span className="unseen">Find</span>} footer={null} closable={false} onCancel={onClose} width={520} className="find">
      <Input
        role="combobox"
        aria-label="Find a step, part, setting, colour or page"
        aria-expanded={found.length > 0}
        aria-controls={`${id}list`}
        aria-activedescendant={found[at] ? `${id}${at}` : undefined}
        placeholder="Find a step, part, setting, colour or page"
        value={typed}
        // It was opened to type into it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
        onKeyDown={onKeyDown}
      />
      <ul id={`${id}list`} role="listbox" aria-label="Found" className="places">
        {found.map((place, i) => (
          // The keys are those of the field above.
          // eslint-disable-next-line jsx-a11y/click-events-have-key-events
          <li key={`${place.where} ${place.name} ${i}`} id={`${id}${i}`} role="option" aria-selected={i === at} onClick={() => go(place)}>
            <strong>{place.name}</strong> <span className="quiet">{place.where}</span>
          </li>
        ))}
      </ul>
      {found.length === 0 && <p className="empty">Nothing here is called “{typed}”.</p>}
    </Modal>
  );
}
