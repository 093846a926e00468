import './DrawnFill.css';

interface Props {
  /** Layers as the core writes them. */
  html: string;
  className?: string;
  title?: string;
}

/** Layers of a background over each other, blended among themselves. */
export function DrawnFill({ html, className = '', title }: Props) {
  return <span className={`fill-drawn ${className}`} title={title} dangerouslySetInnerHTML={{ __html: html }} />;
}
