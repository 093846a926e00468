import { Input, Modal } from 'antd';
import { useId, useState } from 'react';
import { Problem } from '../../ui/Problem';
import { useReturnFocus } from '../../ui/useReturnFocus';

interface Props {
  title: string;
  /** What the button says. */
  act: string;
  /** The name it begins with. */
  start: string;
  /** What is wrong with that name already. */
  wrong?: string;
  /** Resolves to what is wrong with a name, or null. */
  onName: (name: string) => Promise<string | null>;
  onClose: () => void;
}

/** Asks for the name of a site, until there is nothing wrong with it. */
export function NameDialog({ title, act, start, wrong, onName, onClose }: Props) {
  useReturnFocus();
  const [name, setName] = useState(start);
  const [problem, setProblem] = useState<string | null>(wrong ?? null);
  const [saving, setSaving] = useState(false);
  const id = useId();
  const save = async () => {
    if (saving) return;
    setSaving(true);
    const refused = await onName(name);
    setSaving(false);
    if (refused === null) onClose();
    else setProblem(refused);
  };
  return (
    <Modal open title={title} okText={act} confirmLoading={saving} onOk={() => void save()} onCancel={onClose}>
      <Input
        aria-label="Name"
        aria-describedby={problem === null ? undefined : id}
        value={name}
        maxLength={60}
        status={problem ? 'error' : ''}
        // The dialog begins in its field.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
        onFocus={(event) => event.currentTarget.select()}
        onChange={(event) => {
          setName(event.target.value);
          setProblem(null);
        }}
        onPressEnter={() => void save()}
      />
      <Problem text={problem} id={id} />
    </Modal>
  );
}
