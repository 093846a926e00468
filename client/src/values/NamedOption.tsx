import { DrawnFill } from '../ui/DrawnFill';
import { Shortened } from '../ui/Shortened';
import type { NamedFill } from './useNamedFills';

/** A name that is offered for a value, with what it is of if that can be seen. */
export function NamedOption({ name, fill }: { name: string; fill: NamedFill | undefined }) {
  return (
    <span className="named-option">
      {fill &&
        ('css' in fill ? (
          <span className="named-fill" style={{ background: fill.css }} />
        ) : (
          <DrawnFill className="named-fill" html={fill.html} />
        ))}
      <Shortened text={name} />
    </span>
  );
}
