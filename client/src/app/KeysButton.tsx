import { Popover, Switch } from 'antd';
import { KEYS } from './shortcuts';
import { useSingleKeys } from '../ui/keys';
import './KeysButton.css';

/** Tells the keys, and turns the single ones off. */
export function KeysButton() {
  const { on, turn } = useSingleKeys();
  return (
    <Popover
      trigger="click"
      placement="bottomRight"
      content={
        <div className="keys">
          <dl>
            {KEYS.map(({ keys, does, lone }) => (
              <div key={keys} className={lone && !on ? 'off' : ''}>
                <dt>
                  <kbd>{keys}</kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <div className="keys-switch">
            <Switch size="small" checked={on} onChange={turn} aria-label="Single keys" /> Single keys
          </div>
        </div>
      }
    >
      <button type="button" className="bar-button">
        Keys
      </button>
    </Popover>
  );
}
