import { Select } from 'antd';
import { useEditing } from '../site/editingContext';

interface Props {
  label: string;
  /** Id of the scheme; null for the one around it. */
  scheme: string | null;
  /** What no scheme of its own is called; nothing where there always is one. */
  around?: string;
  onChange: (scheme: string | null) => void;
  /** Whether it stands among other controls, not as a value of a table. */
  isControl?: boolean;
}

/** A scheme of the site, or the one around. */
export function SchemeChoice({ label, scheme, around, onChange, isControl = false }: Props) {
  const schemes = useEditing((e) => e.site.schemes);
  return (
    <Select
      aria-label={label}
      value={scheme ?? ''}
      options={[...(around ? [{ value: '', label: around }] : []), ...schemes.map((s) => ({ value: s.id, label: s.name }))]}
      popupMatchSelectWidth={false}
      onChange={(id: string) => onChange(id || null)}
      {...(isControl ? { size: 'small' as const } : { variant: 'borderless' as const, className: 'value-choice' })}
    />
  );
}
