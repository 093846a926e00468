import type { Schemas } from '../api/client';

type Change = Schemas['ViewChange'];

/** A value with changes made: names, ids and keys lead there (JSON Pointer, RFC 6901). What is not reached keeps its identity. */
export function withChanges<T>(value: T, changes: readonly Change[]): T {
  return changes.reduce<unknown>((now, change) => set(now, change.path.split('/').slice(1).map(plain), change), value) as T;
}

function set(node: unknown, path: readonly string[], change: Change): unknown {
  const [name, ...rest] = path;
  if (name === undefined) return change.order ? ordered(node as readonly Listed[], change.order) : change.value;
  if (Array.isArray(node)) {
    const list = node as readonly Listed[];
    const at = list.findIndex((item) => item.id === name);
    const changed = set(list[at], rest, change) as Listed;
    return at < 0 ? [...list, changed] : list.with(at, changed);
  }
  const map = node as Record<string, unknown>;
  return { ...map, [name]: set(map[name], rest, change) };
}

interface Listed {
  id: string;
}

/** What the order does not name has gone. */
function ordered(list: readonly Listed[], order: readonly string[]): Listed[] {
  const known = new Map(list.map((item) => [item.id, item]));
  return order.flatMap((id) => known.get(id) ?? []);
}

const plain = (segment: string): string => segment.replaceAll('~1', '/').replaceAll('~0', '~');
