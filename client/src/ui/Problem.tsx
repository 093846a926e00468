import './Problem.css';
/** What is wrong with what was given, at its place; nothing where nothing is. */
export function Problem({ text, id }: { text: string | null | undefined; id?: string }) {
  if (!text) return null;
  return (
    <p className="problem" role="alert" id={id}>
      {text}
    </p>
  );
}
