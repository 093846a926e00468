import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { Alert, Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { answered, api, type CssProblem } from '../../api/client';
import { useSetAddress } from '../../site/address';
import { newGesture } from '../../site/window';
import { useActions, useEditing, useEditingStore } from '../../site/editingContext';
import { textOf, type Typed } from '../../site/typing';
import { CssEditor, type CssEditorHandle } from './CssEditor';
import './OverridesStep.css';

/** What this step types into, among the places of a site. */
const PLACE = 'overrides';

/** The site's own CSS: live on the stage while typing, stored at a pause. */
export default function OverridesStep() {
  const { type, storeTyped, keepMine, takeStored } = useActions();
  const store = useEditingStore();
  const setAddress = useSetAddress();
  const stored = useEditing((e) => e.site.overrides.css);
  const mine = useEditing((e) => e.typed[PLACE]);
  const storedProblems = useEditing((e) => e.site.overrides.problems);
  const triedProblems = useEditing((e) => e.trial?.problems);
  const tokens = useTokens();
  const editor = useRef<CssEditorHandle>(null);
  const gesture = useRef({ id: newGesture(), line: -1 });
  const problems = triedProblems ?? storedProblems;
  const notes = useSilenced(stored, mine !== undefined);

  // What was typed is on the stage, also where it was typed before the step was left or the window loaded again.
  useEffect(() => {
    const { typed, attempt } = store.getState();
    if (typed[PLACE]) attempt(typed[PLACE].edit, PLACE);
    return () => storeTyped(PLACE);
  }, [store, storeTyped]);

  // Other steps lead to a line.
  const [params] = useSearchParams();
  const line = Number(params.get('line'));
  useEffect(() => {
    if (!Number.isInteger(line) || line < 1) return;
    editor.current?.goToLine(line);
    setAddress({ line: '' });
  }, [line, setAddress]);

  const onType = (css: string, line: number) => {
    // A run of keys in one line is one gesture.
    if (line !== gesture.current.line) gesture.current = { id: newGesture(), line };
    type(PLACE, { edit: { kind: 'setOverrides', css }, name: 'Overrides', gesture: gesture.current.id, rests: true });
  };

  return (
    <section className="step-panel" aria-label="Overrides">
      <div className="bar">
        <h1>Overrides</h1>
        <span className="quiet">whole site · wins over every look without !important</span>
      </div>
      <CssEditor
        css={cssOf(mine) ?? stored}
        latest={() => cssOf(store.getState().typed[PLACE]) ?? store.getState().site.overrides.css}
        problems={problems}
        notes={notes}
        tokens={tokens}
        onType={onType}
        onLeave={() => storeTyped(PLACE)}
        ref={editor}
      />
      {mine?.wrong && (
        <Alert
          type="warning"
          banner
          title={`What you typed is here and not stored yet. ${mine.wrong.said}`}
          action={
            <>
              {mine.wrong.kind === 'clash' && (
                <Button size="small" onClick={() => keepMine(PLACE)}>
                  Keep mine
                </Button>
              )}{' '}
              <Button size="small" onClick={() => takeStored(PLACE)}>
                Take what is stored
              </Button>
            </>
          }
        />
      )}
      <div className="css-problems">
        <div className="subhead">
          <strong role="status">
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
              <button type="button" onClick={() => editor.current?.goTo(problem)}>
                <span className="quiet">
                  Line {problem.line}, column {problem.column}
                </span>{' '}
                {problem.message}
              </button>
            </li>
          ))}
        </ul>
      </div>
    </section>
  );
}

const cssOf = (typed: Typed | undefined): string | undefined => typed && textOf(typed.edit);

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
