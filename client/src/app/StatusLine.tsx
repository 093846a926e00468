import { useEditing } from './editingContext';

/** The last edit, and what the stylesheet weighs. */
export function StatusLine() {
  const last = useEditing((e) => e.site.history.last);
  const bytes = useEditing((e) => e.site.figures.stylesheetBytes);
  return (
    <footer className="status-line">
      <span className="last-edit">
        {last ? (
          <>
            Last edit <strong>{last}</strong>
          </>
        ) : (
          'No edits yet'
        )}
      </span>
      <span className="spring" />
      <span>
        Stylesheet <strong>{(bytes / 1000).toFixed(1)} kB</strong>
      </span>
    </footer>
  );
}
