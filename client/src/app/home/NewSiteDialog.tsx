import { useQuery } from '@tanstack/react-query';
import { Input, Modal, Select } from 'antd';
import { useId, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, type ProblemDetails, type Schemas } from '../../api/client';
import { useFonts } from '../../ui/fonts';
import { Problem } from '../../ui/Problem';
import { useReturnFocus } from '../../ui/useReturnFocus';
import './NewSiteDialog.css';

type Wishes = Schemas['NewSiteWishes'];

const NONE: readonly Schemas['BundledFamilyView'][] = [];
const OPEN: Wishes = { name: '', color: null, heading: null, text: null, base: null };

/** A new site from a colour, two families and a base size; all but the name can be left open. */
export function NewSiteDialog({ onClose }: { onClose: () => void }) {
  const families = useQuery({ queryKey: ['families'], queryFn: () => answered(api.GET('/api/families')), staleTime: Infinity });
  useReturnFocus();
  const navigate = useNavigate();
  const [wishes, setWishes] = useState(OPEN);
  const [problems, setProblems] = useState<{ path: string; message: string }[]>([]);
  const [making, setMaking] = useState(false);
  useFonts(families.data ?? NONE);
  const wish = (change: Partial<Wishes>) => {
    setWishes({ ...wishes, ...change });
    setProblems(problems.filter((p) => !Object.keys(change).some((name) => p.path === `/${name}`)));
  };
  const wrong = (name: keyof Wishes) => problems.find((p) => p.path === `/${name}`)?.message;
  const start = async () => {
    setMaking(true);
    const { data, error } = await api.POST('/api/sites/new', { body: wishes }).catch(() => ({ data: undefined, error: undefined }));
    setMaking(false);
    if (data) void navigate(`/sites/${data.slug}/palette`);
    else {
      const details = error as ProblemDetails | undefined;
      setProblems(details?.problems ?? [{ path: '/name', message: details?.detail ?? 'The server did not answer. Nothing was made.' }]);
    }
  };
  const letters = [
    { value: '', label: 'left open' },
    ...(families.data ?? NONE).map((f) => ({ value: f.id, label: <span style={{ fontFamily: f.stack }}>{f.name}</span> })),
  ];
  return (
    <Modal open title="New site" okText="Start" confirmLoading={making} onOk={() => void start()} onCancel={onClose}>
      <p className="quiet">
        Two schemes, a scale and a look for every part are made from this. Whatever is left open is chosen for you, and can be changed
        later.
      </p>
      <Field label="Name" problem={wrong('name')}>
        {(id) => (
          <Input
            id={id}
            // The dialog begins in its first field.
            autoFocus // eslint-disable-line jsx-a11y/no-autofocus
            value={wishes.name}
            maxLength={60}
            onChange={(e) => wish({ name: e.target.value })}
            onPressEnter={() => void start()}
          />
        )}
      </Field>
      <Field label="Main colour" problem={wrong('color')}>
        {(id) => (
          <Input
            id={id}
            className="mono"
            placeholder="left open, or any CSS colour such as #8a2846"
            prefix={<span className="swatch" style={{ background: wishes.color ?? 'none' }} />}
            value={wishes.color ?? ''}
            onChange={(e) => wish({ color: e.target.value || null })}
          />
        )}
      </Field>
      <Field label="Family of headings" problem={wrong('heading')}>
        {(id) => (
          <Select
            id={id}
            className="wide"
            value={wishes.heading ?? ''}
            options={letters}
            onChange={(heading: string) => wish({ heading: heading || null })}
          />
        )}
      </Field>
      <Field label="Family of text" problem={wrong('text')}>
        {(id) => (
          <Select
            id={id}
            className="wide"
            value={wishes.text ?? ''}
            options={letters}
            onChange={(text: string) => wish({ text: text || null })}
          />
        )}
      </Field>
      <Field label="Base size, px" problem={wrong('base')}>
        {(id) => (
          <Input
            id={id}
            placeholder="left open, or px of body text such as 18"
            value={wishes.base ?? ''}
            onChange={(e) => wish({ base: e.target.value || null })}
          />
        )}
      </Field>
    </Modal>
  );
}

function Field({ label, problem, children }: { label: string; problem: string | undefined; children: (id: string) => ReactNode }) {
  const id = useId();
  return (
    <div className="wish">
      <label htmlFor={id}>{label}</label>
      {children(id)}
      <Problem text={problem} />
    </div>
  );
}
