import { Button, Tooltip } from 'antd';
import type { ThingView } from '../api/client';
import { MenuButton } from '../ui/MenuButton';

interface Props {
  thing: ThingView;
  /** All of its kind. */
  others: readonly ThingView[];
  /** @param by what takes its place; null where nothing uses it */
  onRemove: (by: string | null) => void;
}

/** Takes a thing away. For one in use it is chosen what takes its place. */
export function RemoveThing({ thing: { id, name, uses, stays: why }, others, onRemove }: Props) {
  const stays = why ?? (uses.length > 0 && others.length < 2 ? 'It is in use, and there is no other to take its place.' : null);
  return (
    <Tooltip title={stays} trigger={['hover', 'focus']}>
      {uses.length === 0 ? (
        <Button size="small" disabled={stays !== null} onClick={() => onRemove(null)} aria-label={`Remove ${name}`}>
          Remove
        </Button>
      ) : (
        <span>
          <MenuButton
            size="small"
            disabled={stays !== null}
            aria-label={`Remove ${name}: choose what takes its place`}
            menu={{
              items: others.filter((o) => o.id !== id).map((o) => ({ key: o.id, label: `${o.name} takes its place` })),
              onClick: ({ key }) => onRemove(key),
            }}
          >
            Remove…
          </MenuButton>
        </span>
      )}
    </Tooltip>
  );
}
