import { useState, type FormEvent } from 'react';
import { useEditing } from './editingContext';
import { draftKey } from './window';

/** Text in a form that is not sent yet, kept through a reload of the window. */
export function useDraft(name: string): [string, (text: string) => void] {
  const key = draftKey(
    useEditing((e) => e.site.slug),
    name,
  );
  const [text, setText] = useState(() => sessionStorage.getItem(key) ?? '');
  const put = (next: string) => {
    setText(next);
    if (next === '') sessionStorage.removeItem(key);
    else sessionStorage.setItem(key, next);
  };
  return [text, put];
}

/**
 * Sends a form, one answer at a time: a second Enter meanwhile is the same one.
 * @param send resolves to what is wrong with it
 */
export function useSending(send: () => Promise<string | null>) {
  const [problem, setProblem] = useState<string | null>(null);
  const [sending, setSending] = useState(false);
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (sending) return;
    setSending(true);
    setProblem(await send());
    setSending(false);
  };
  return { problem, sending, submit: (event: FormEvent) => void submit(event), mend: () => setProblem(null) };
}
