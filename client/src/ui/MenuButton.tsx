import { Button, Dropdown, type ButtonProps, type MenuProps } from 'antd';
import { useRef, useState, type KeyboardEvent } from 'react';

interface Props extends Omit<ButtonProps, 'onClick' | 'onKeyDown'> {
  menu: MenuProps;
  onOpenChange?: (open: boolean) => void;
}

/** A button with a menu, by pointer and by key (ARIA menu button pattern): the menu begins with its first item, and gives the focus back when it closes. */
export function MenuButton({ menu, onOpenChange, disabled = false, ...button }: Props) {
  const [open, setOpen] = useState(false);
  const host = useRef<HTMLSpanElement>(null);
  const change = (next: boolean) => {
    setOpen(next);
    onOpenChange?.(next);
    if (next) return;
    window.setTimeout(() => {
      const at = document.activeElement;
      if (at === document.body || at?.closest('[role="menu"]')) host.current?.querySelector('button')?.focus();
    });
  };
  return (
    <span ref={host}>
      <Dropdown
        open={open}
        onOpenChange={change}
        trigger={['click']}
        disabled={disabled}
        // Opened again, it begins with its first item again.
        destroyOnHidden
        menu={{ ...menu, onKeyDown: takeWithSpace }}
        // The menu was opened to choose from it.
        autoFocus // eslint-disable-line jsx-a11y/no-autofocus
      >
        <Button
          {...button}
          disabled={disabled}
          aria-haspopup="menu"
          aria-expanded={open}
          onKeyDown={(event) => {
            if (event.key !== 'ArrowDown' || open) return;
            event.preventDefault();
            change(true);
          }}
        />
      </Dropdown>
    </span>
  );
}

/** Space takes an item as Enter does. */
const takeWithSpace = (event: KeyboardEvent<HTMLElement>) => {
  const item = (event.target as Element).closest<HTMLElement>('[role^="menuitem"]');
  if (event.key !== ' ' || !item) return;
  event.preventDefault();
  item.click();
};
