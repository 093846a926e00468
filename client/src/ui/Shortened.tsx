import './Shortened.css';
interface Props {
  text: string;
  /** How many letters of the end stay where there is no step. */
  end?: number;
}

/** Longer than this a text keeps its end when there is no room for all of it. */
const LONG = 24;

/** A text that is shortened in the middle where it has no room, so that its step or its last letters stay. */
export function Shortened({ text, end = 8 }: Props) {
  const kept = / (?:tint|shade) \d+$/.exec(text)?.[0] ?? (text.length > LONG ? text.slice(-end) : '');
  if (kept === '') return text;
  return (
    <span className="shortened">
      <span>{text.slice(0, text.length - kept.length)}</span>
      <span>{kept}</span>
    </span>
  );
}
