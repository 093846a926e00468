import { autocompletion, closeBrackets, completionKeymap, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { css, cssLanguage } from '@codemirror/lang-css';
import { bracketMatching, HighlightStyle, indentOnInput, syntaxHighlighting } from '@codemirror/language';
import { lintGutter, setDiagnostics } from '@codemirror/lint';
import { Annotation, EditorState, Transaction, type Extension } from '@codemirror/state';
import { drawSelection, EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view';
import { tags } from '@lezer/highlight';
import { useEffect, useImperativeHandle, useRef, type Ref } from 'react';
import type { CssProblem } from '../../api/client';
import './CssEditor.css';

interface Props {
  css: string;
  /** The same at this very moment: a key may have been pressed since the last drawing. */
  latest: () => string;
  problems: readonly CssProblem[];
  /** What is said of lines that are right in themselves. */
  notes: readonly CssProblem[];
  tokens: readonly string[];
  onType: (css: string, line: number) => void;
  onLeave: () => void;
  /** Gives it a way to come to a place and have the focus there. */
  ref: Ref<CssEditorHandle>;
}

export interface CssEditorHandle {
  goTo: (place: { start: number; end: number }) => void;
  /** Counted from 1. */
  goToLine: (line: number) => void;
}

/** Marks a change that was not typed here. */
const fromOutside = Annotation.define<boolean>();

const colours = HighlightStyle.define([
  { tag: [tags.className, tags.tagName, tags.labelName, tags.constant(tags.className)], color: '#20282b', fontWeight: '600' },
  { tag: tags.propertyName, color: '#0b5d63' },
  { tag: [tags.number, tags.unit, tags.color, tags.atom, tags.string, tags.variableName, tags.keyword], color: '#7a3e0c' },
  { tag: tags.comment, color: '#5d6669', fontStyle: 'italic' },
]);

const look = EditorView.theme({
  '&': { height: '100%', fontSize: '13px' },
  '.cm-scroller': { fontFamily: "'JetBrains Mono Variable', monospace", lineHeight: '1.6' },
  '.cm-gutters': { background: '#ffffff', border: 'none', color: '#6a7275' },
  '&.cm-focused': { outline: 'none' },
  '.cm-tooltip': { background: '#ffffff', border: '1px solid #8b8a84', borderRadius: '6px', overflow: 'hidden' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li': { padding: '3px 8px' },
  '.cm-tooltip.cm-tooltip-autocomplete > ul > li[aria-selected]': { background: '#e3eeee', color: '#20282b' },
  '.cm-completionIcon': { display: 'none' },
  '.cm-completionMatchedText': { textDecoration: 'none', fontWeight: '700' },
  '.cm-activeLine': { background: '#f5f3ef' },
  '.cm-activeLineGutter': { background: '#f5f3ef' },
});

/** A real CSS editor: highlighting, completion with the site's own tokens, and the core's diagnostics at their place. */
export function CssEditor({ css: text, latest, problems, notes, tokens, onType, onLeave, ref }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const handlers = useRef({ onType, onLeave, tokens, latest });
  useEffect(() => {
    handlers.current = { onType, onLeave, tokens, latest };
  });

  useEffect(() => {
    if (!host.current) return;
    const extensions: Extension[] = [
      lineNumbers(),
      history(),
      drawSelection(),
      indentOnInput(),
      bracketMatching(),
      closeBrackets(),
      highlightActiveLine(),
      css(),
      syntaxHighlighting(colours),
      autocompletion(),
      cssLanguage.data.of({ autocomplete: (context: CompletionContext) => completeTokens(context, handlers.current.tokens) }),
      lintGutter(),
      keymap.of([
        {
          key: 'Mod-s',
          run: () => {
            handlers.current.onLeave();
            return true;
          },
        },
        // Tab leads on, as everywhere (WCAG 2.1.2); Escape closes completion.
        ...completionKeymap,
        ...defaultKeymap,
        ...historyKeymap,
      ]),
      EditorView.contentAttributes.of({ 'aria-label': 'Overrides for the whole site' }),
      EditorView.updateListener.of((update) => {
        if (!update.docChanged || update.transactions.every((t) => t.annotation(fromOutside))) return;
        const line = update.state.doc.lineAt(update.state.selection.main.head).number;
        handlers.current.onType(update.state.doc.toString(), line);
      }),
      EditorView.domEventHandlers({ blur: () => handlers.current.onLeave() }),
      look,
    ];
    const editor = new EditorView({ parent: host.current, state: EditorState.create({ doc: '', extensions }) });
    view.current = editor;
    return () => editor.destroy();
  }, []);

  // What is stored changes under the editor by undo, redo and other windows; typing is already in it.
  useEffect(() => {
    const editor = view.current;
    if (!editor) return;
    const text = handlers.current.latest();
    const before = editor.state.doc.toString();
    if (before === text) return;
    // Only what differs, so that the caret stays where it is.
    let start = 0;
    while (start < before.length && start < text.length && before[start] === text[start]) start++;
    let end = 0;
    while (end < before.length - start && end < text.length - start && before.at(-1 - end) === text.at(-1 - end)) end++;
    editor.dispatch({
      changes: { from: start, to: before.length - end, insert: text.slice(start, text.length - end) },
      // The editor's own undo takes back what was typed here, nothing else.
      annotations: [fromOutside.of(true), Transaction.addToHistory.of(false)],
    });
  }, [text]);

  useEffect(() => {
    const editor = view.current;
    if (!editor) return;
    const length = editor.state.doc.length;
    const marked = (severity: 'error' | 'warning') => (p: CssProblem) => ({
      from: Math.min(p.start, length),
      to: Math.min(Math.max(p.end, p.start + 1), length),
      severity,
      message: p.message,
    });
    editor.dispatch(setDiagnostics(editor.state, [...problems.map(marked('error')), ...notes.map(marked('warning'))]));
  }, [problems, notes, text]);

  useImperativeHandle(ref, () => ({
    goTo: ({ start, end }) => {
      const editor = view.current;
      if (!editor) return;
      const length = editor.state.doc.length;
      editor.dispatch({ selection: { anchor: Math.min(start, length), head: Math.min(end, length) }, scrollIntoView: true });
      editor.focus();
    },
    goToLine: (line) => {
      const editor = view.current;
      if (!editor) return;
      editor.dispatch({ selection: { anchor: editor.state.doc.line(Math.min(line, editor.state.doc.lines)).from }, scrollIntoView: true });
      editor.focus();
    },
  }));

  return <div className="css-editor" ref={host} />;
}

function completeTokens(context: CompletionContext, tokens: readonly string[]): CompletionResult | null {
  const word = context.matchBefore(/--[\w-]*/);
  return word ? { from: word.from, options: tokens.map((label) => ({ label, type: 'variable' })) } : null;
}
