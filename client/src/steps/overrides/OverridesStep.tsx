import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Alert, Button } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { answered, api, type CssProblem } from '../../api/client';
import { newGesture } from '../../site/window';
import { useActions, useEditing, useEditingStore } from '../../site/editingContext';
import { CssEditor } from './CssEditor';
import './OverridesStep.css';

const PAUSE = 700;

/** The site's own CSS: live on the stage while typing, stored at a pause. */
export default function OverridesStep() {
  const { attempt, cancelTrial, make } = useActions();
  const editing = useEditingStore();
  // The version whose text is being typed over: what others write meanwhile is put together with it, or asked about.
  const basis = useRef<number | null>(null);
  const [clash, setClashShown] = useState<string | null>(null);
  const clashing = useRef(false);
  const setClash = useCallback((said: string | null) => {
    clashing.current = said !== null;
    setClashShown(said);
  }, []);
  const stored = useEditing((e) => e.site.overrides.css);
  const storedProblems = useEditing((e) => e.site.overrides.problems);
  const triedProblems = useEditing((e) => e.trial?.problems);
  const tokens = useTokens();
  const timer = useRef(0);
  const waiting = useRef<string | null>(null);
  const [isAhead, setIsAhead] = useState(false);
  const aheadNow = useRef(false);
  const setAhead = useCallback((ahead: boolean) => {
    aheadNow.current = ahead;
    setIsAhead(ahead);
  }, []);
  const gesture = useRef({ id: newGesture(), line: -1 });
  const problems = triedProblems ?? storedProblems;
  const notes = useSilenced(stored, triedProblems !== null && triedProblems !== undefined);

  const store = useCallback(() => {
    window.clearTimeout(timer.current);
    // What is asked about is not stored before there is an answer.
    if (waiting.current === null || clashing.current) return;
    const css = waiting.current;
    waiting.current = null;
    // What could not be stored stays in the editor, to be stored with what is typed next.
    void make({ kind: 'setOverrides', css }, gesture.current.id, basis.current ?? undefined).then((wrong) => {
      setClash(wrong);
      setAhead(waiting.current !== null || wrong !== null);
      if (wrong === null && waiting.current === null) basis.current = null;
      else if (wrong !== null) waiting.current ??= css;
    });
  }, [make, setAhead, setClash]);

  /** What was typed stands, whatever others wrote in the same lines. */
  const keepMine = () => {
    basis.current = editing.getState().site.version;
    setClash(null);
    store();
  };
  /** What is stored stands. */
  const takeTheirs = () => {
    waiting.current = null;
    basis.current = null;
    setClash(null);
    cancelTrial();
    setAhead(false);
  };

  // What was typed is stored when the step is left, too.
  useEffect(() => {
    return store;
  }, [store]);

  const onType = (css: string, line: number) => {
    // A run of keys in one line is one gesture.
    if (line !== gesture.current.line) {
      store();
      gesture.current = { id: newGesture(), line };
    }
    waiting.current = css;
    basis.current ??= editing.getState().site.version;
    setAhead(true);
    attempt({ kind: 'setOverrides', css });
    window.clearTimeout(timer.current);
    timer.current = window.setTimeout(store, PAUSE);
  };

  return (
    <section className="step-panel" aria-label="Overrides">
      <div className="bar">
        <h1>Overrides</h1>
        <span className="quiet">whole site · wins over every look without !important</span>
      </div>
      <CssEditor
        css={stored}
        isAhead={isAhead}
        aheadNow={aheadNow}
        problems={problems}
        notes={notes}
        tokens={tokens}
        onType={onType}
        onLeave={store}
      />
      {clash !== null && (
        <Alert
          type="warning"
          banner
          title={`What you typed is here and not stored yet. ${clash}`}
          action={
            <>
              <Button size="small" onClick={keepMine}>
                Keep mine
              </Button>{' '}
              <Button size="small" onClick={takeTheirs}>
                Take what is stored
              </Button>
            </>
          }
        />
      )}
      <div className="css-problems" role="status" aria-label="What to look at">
        <div className="subhead">
          <strong>
            {problems.length + notes.length === 0
              ? 'Every rule can be read'
              : problems.length + notes.length === 1
                ? '1 place to look at'
                : `${problems.length + notes.length} places to look at`}
          </strong>
        </div>
        <ul>
          {[...problems, ...notes].map((problem) => (
            <li key={`${problem.start} ${problem.message}`} className={notes.includes(problem) ? 'note-line' : ''}>
              <span className="quiet">
                Line {problem.line}, column {problem.column}
              </span>{' '}
              {problem.message}
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

const NONE: readonly CssProblem[] = [];

/** Lines that win over states and breaks set elsewhere. They are of what is stored: while something else is typed they are left out. */
function useSilenced(css: string, typing: boolean): readonly CssProblem[] {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const silenced = useQuery({
    queryKey: ['silenced', slug, version],
    queryFn: async () => ({ css, notes: await answered(api.GET('/api/sites/{slug}/silenced', { params: { path: { slug } } })) }),
    placeholderData: keepPreviousData,
  });
  return typing || silenced.data?.css !== css ? NONE : silenced.data.notes;
}

/** The names of the site's own custom properties, for completion: read off the sheet it has. */
function useTokens(): string[] {
  const sheet = useEditing((e) => e.sheet.generated);
  return [...new Set(sheet.match(/--[a-z][\w-]*(?=:)/g) ?? [])];
}
