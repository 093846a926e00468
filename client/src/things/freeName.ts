/** A name for what is made from a thing that is not taken, however often it is done, and of what was made too. */
export function freeName(of: string, how: string, others: readonly { name: string }[]): string {
  const name = of.replace(new RegExp(` ${how}( \\d+)?$`), '');
  for (let n = 1; ; n++) {
    const free = n === 1 ? `${name} ${how}` : `${name} ${how} ${n}`;
    if (!others.some((o) => o.name.toLowerCase() === free.toLowerCase())) return free;
  }
}
