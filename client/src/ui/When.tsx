const FORMAT = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });
const OTHER_YEAR = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A moment, as precisely as it matters. */
export function When({ at }: { at: string }) {
  const date = new Date(at);
  return <time dateTime={at}>{(date.getFullYear() === new Date().getFullYear() ? FORMAT : OTHER_YEAR).format(date)}</time>;
}
