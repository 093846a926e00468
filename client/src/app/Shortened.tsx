interface Props {
  text: string;
}

/** Longer than this a text keeps its end when there is no room for all of it. */
const LONG = 24;
const END = 8;

/** A text that is shortened in the middle where it has no room, so that its step or its last letters stay. */
export function Shortened({ text }: Props) {
  const end = / (?:tint|shade) \d+$/.exec(text)?.[0] ?? (text.length > LONG ? text.slice(-END) : '');
  if (end === '') return text;
  return (
    <span className="shortened">
      <span>{text.slice(0, text.length - end.length)}</span>
      <span>{end}</span>
    </span>
  );
}
