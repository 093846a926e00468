import type { Schemas } from '../../api/client';
import { linesText } from './figuresText';

/** What a text style comes to on the pages, and what is to be said of that. */
export function StyleFindings({ figures }: { figures: Schemas['StyleFigures'] | undefined }) {
  if (!figures) return null;
  return (
    <div className="style-figures">
      <p className="quiet">{linesText(figures)}</p>
      {figures.findings.length > 0 && (
        <ul aria-label="To be said of it">
          {figures.findings.map((finding) => (
            <li key={finding.concern}>
              {finding.says} <span className="quiet">{finding.source}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
