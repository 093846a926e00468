import { AutoComplete } from 'antd';
import { useEffect, useState, type FocusEvent } from 'react';
import { answered, api, type Schemas } from '../api/client';
import { useEditing } from '../site/editingContext';
import { Problem } from '../ui/Problem';

interface Props {
  label: string;
  /** Where it leads as it is stored; empty for nowhere. */
  held: string;
  /** Id of the page the link stands on. */
  page: string;
  /** Whether it was opened to be typed in. */
  opened?: boolean;
  /** What is wrong with what was chosen. */
  problem?: string | null;
  onChoose: (to: string, says: string) => void;
  onEscape?: () => void;
}

/** Where a link leads: a page, a place within one, mail, telephone or an address elsewhere, typed plainly and completed by the core. */
export function LinkField({ label, held, page, opened = false, problem = null, onChoose, onEscape }: Props) {
  const slug = useEditing((e) => e.site.slug);
  const pages = useEditing((e) => e.site.pages);
  const [typed, setTyped] = useState<string | null>(null);
  const [said, setSaid] = useState('');
  // What was offered to one text is none of another's.
  const [answer, setAnswer] = useState<{ to: string; offers: Schemas['LinkOffer'][] }>({ to: '', offers: [] });
  const offers = answer.to === typed ? answer.offers : [];
  const [wrong, setWrong] = useState<string | null>(null);

  // What is stored, in words: a page that is called otherwise is called so here too.
  useEffect(() => {
    let isOld = false;
    void offersFor(slug, page, held).then((answer) => {
      if (!isOld) setSaid(held === '' ? '' : (answer?.says ?? held));
    });
    return () => {
      isOld = true;
    };
  }, [slug, page, held, pages]);

  useEffect(() => {
    if (typed === null) return;
    let isOld = false;
    void offersFor(slug, page, typed).then((answer) => {
      if (!isOld && answer) setAnswer({ to: typed, offers: answer.offers });
    });
    return () => {
      isOld = true;
    };
  }, [slug, page, typed]);

  const choose = (to: string, says: string) => {
    setTyped(null);
    setWrong(null);
    onChoose(to, says);
  };
  // By what stands in the field: the last key may not be drawn yet, and what it can mean not be known.
  const take = async (given: string) => {
    const text = given.trim();
    if (text === (opened ? '' : said)) return setTyped(null);
    if (text === '') return choose('', '');
    const first = (await offersFor(slug, page, text))?.offers[0];
    if (first) choose(first.to, first.says);
    else setWrong(`“${text}” leads nowhere: choose a page or a #place, or type a mail address, a telephone number or a web address.`);
  };
  return (
    <>
      <AutoComplete
        size="small"
        variant={opened ? 'outlined' : 'borderless'}
        className={opened ? '' : 'value-choice'}
        aria-label={label}
        placeholder={opened ? 'a page, #place, mail, telephone or address' : 'nowhere'}
        value={typed ?? said}
        options={typed === null ? [] : offers.map((o) => ({ value: o.to, label: o.says }))}
        placement={opened ? 'topLeft' : 'bottomLeft'}
        popupMatchSelectWidth={opened ? true : 260}
        defaultActiveFirstOption
        autoFocus={opened} // eslint-disable-line jsx-a11y/no-autofocus
        onFocus={() => setTyped((now) => now ?? (opened ? '' : said))}
        onChange={(text: string) => {
          setTyped(text);
          setWrong(null);
        }}
        onSelect={(to: string) => choose(to, offers.find((o) => o.to === to)?.says ?? to)}
        // A field that was opened for one link is left without one; a value that was typed over is meant.
        {...(!opened && { onBlur: (event: FocusEvent<HTMLElement>) => void take((event.target as HTMLInputElement).value) })}
        onKeyDown={(event) => {
          // It chooses; a form around it is sent by the next.
          if (event.key === 'Enter' && typed !== null && typed !== said) event.preventDefault();
          if (event.key === 'Escape') {
            event.stopPropagation();
            setTyped(null);
            setWrong(null);
            onEscape?.();
          } else if (event.key === 'Enter' && offers.length === 0) void take((event.target as HTMLInputElement).value);
        }}
      />
      <Problem text={wrong ?? problem} />
    </>
  );
}

const offersFor = (slug: string, page: string, typed: string): Promise<Schemas['LinkOffersView'] | null> =>
  answered(api.GET('/api/sites/{slug}/links', { params: { path: { slug }, query: { page, typed } } })).catch(() => null);
