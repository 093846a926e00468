import { Button, Input, Select } from 'antd';
import { useId, useState } from 'react';
import type { Edit, Schemas } from '../../api/client';
import { useActions, useEditing } from '../../site/editingContext';
import { useDraft, useSending } from '../../site/useDraft';
import { useFocusNext } from '../../site/useFocusNext';
import { Order } from '../../things/Order';
import { Problem } from '../../ui/Problem';
import { LinkField } from '../../values/LinkField';
import { PictureField } from '../../values/PictureField';
import { ValueCell } from '../../values/ValueCell';
import { useTriedChoice } from '../../values/useTriedChoice';

type Post = Schemas['PostView'];
type Category = Schemas['CategoryView'];

/** The posts, newest first, what they are sorted into, and below the chosen one. */
export function PostsPanel() {
  const { make } = useActions();
  const posts = useEditing((e) => e.site.posts);
  const categories = useEditing((e) => e.site.categories);
  const [chosen, choose] = useState<string | null>(null);
  const [list, focusNext] = useFocusNext<HTMLDivElement>(posts.length);
  const post = posts.find((p) => p.id === chosen) ?? posts[0];
  return (
    <>
      {/* Long lists scroll, and are reached by key. */}
      {/* eslint-disable-next-line jsx-a11y/no-noninteractive-tabindex */}
      <div ref={list} className="scroll" tabIndex={0} role="group" aria-label="Every post and category">
        {posts.length === 0 && <p className="empty">No posts yet. Lists of the newest posts show what is added here.</p>}
        <ul className="chosen-list" aria-label="Posts, newest first">
          {posts.map((p) => (
            <li key={p.id}>
              <button
                type="button"
                aria-pressed={p.id === post?.id}
                className="row-button post-row"
                title={p.title}
                onClick={() => choose(p.id)}
              >
                <strong className="summary">{p.title}</strong>
                <span className="quiet summary">{categories.find((c) => c.id === p.category)?.name}</span>
                <span className="quiet uses">{p.day}</span>
              </button>
            </li>
          ))}
        </ul>
        <AddForm
          label="Add a post"
          field="Title of the new post"
          placeholder="a new post’s title"
          onAdd={async (title) => {
            const id = crypto.randomUUID();
            const wrong = await make({ kind: 'addPost', post: id, title, date: today() }, { saidAtItsPlace: true });
            if (wrong === null) choose(id);
            return wrong;
          }}
        />
        <Categories categories={categories} />
      </div>
      {post && (
        <PostEditor
          key={post.id}
          post={post}
          categories={categories}
          onRemove={() => {
            // The editor goes with its post: work goes on with the next.
            const next = posts[posts.indexOf(post) + 1] ?? posts[posts.indexOf(post) - 1];
            focusNext(next ? '.post-row' : '.add-form input', next ? Math.min(posts.indexOf(post), posts.length - 2) : 0);
            void make({ kind: 'removePost', post: post.id }).then((wrong) => wrong === null && choose(next?.id ?? null));
          }}
        />
      )}
    </>
  );
}

function PostEditor({ post, categories, onRemove }: { post: Post; categories: readonly Category[]; onRemove: () => void }) {
  const { make } = useActions();
  const home = useEditing((e) => e.site.pages[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const set =
    (field: Schemas['PostField']) =>
    (text: string | null): Edit => ({ kind: 'setPost', post: post.id, field, text: text ?? '' });
  const category = useTriedChoice(set('category'));
  return (
    <section className="thing-editor" aria-label={`Post ${post.title}`}>
      <div className="subhead">
        <strong className="summary">{post.title}</strong>
        <span className="quiet">{post.day}</span>
      </div>
      <table className="values settings" aria-label={`Settings of ${post.title}`}>
        <tbody>
          {(
            [
              ['title', 'Title', post.title],
              ['date', 'Day', post.day],
              ['text', 'Text', post.text],
            ] as const
          ).map(([field, label, text]) => (
            <tr key={field}>
              <th scope="row">{label}</th>
              <td>
                <ValueCell
                  name={`${label} of ${post.title}`}
                  text={text || null}
                  inherited="nothing"
                  names={[]}
                  isWords
                  edit={set(field)}
                />
              </td>
            </tr>
          ))}
          <tr>
            <th scope="row">Category</th>
            <td>
              <Select
                aria-label={`Category of ${post.title}`}
                variant="borderless"
                className="value-choice"
                showSearch={{ optionFilterProp: 'label' }}
                value={post.category ?? ''}
                options={[{ value: '', label: 'none' }, ...categories.map((c) => ({ value: c.id, label: c.name }))]}
                {...category}
              />
            </td>
          </tr>
          <tr>
            <th scope="row">Picture</th>
            <td>
              <PictureField label={`Picture of ${post.title}`} held={post.picture ?? ''} spot={{ post: post.id }} edit={set('picture')} />
            </td>
          </tr>
          {post.picture && (
            <tr>
              <th scope="row">Picture in words</th>
              <td>
                <ValueCell
                  name={`Picture of ${post.title} in words`}
                  text={post.pictureInWords || null}
                  inherited="none: it only decorates"
                  names={[]}
                  isWords
                  edit={set('pictureInWords')}
                />
              </td>
            </tr>
          )}
          <tr>
            <th scope="row">Leads to</th>
            <td>
              <LinkField
                label={`Where ${post.title} leads`}
                held={post.to}
                page={home}
                problem={problem}
                onChoose={(to) => void make(set('to')(to), { saidAtItsPlace: true }).then(setProblem)}
              />
            </td>
          </tr>
        </tbody>
      </table>
      <div className="acts">
        <Button size="small" onClick={onRemove}>
          Remove
        </Button>
      </div>
    </section>
  );
}

/** Today where the designer is, as days are typed. */
const today = (): string => new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' });

interface AddProps {
  label: string;
  /** What is typed, for screen readers. */
  field: string;
  placeholder: string;
  /** Adds what was typed; resolves to what is wrong with it. */
  onAdd: (typed: string) => Promise<string | null>;
}

function AddForm({ label, field, placeholder, onAdd }: AddProps) {
  const [typed, setTyped] = useDraft(label);
  const id = useId();
  const { problem, sending, submit, mend } = useSending(async () => {
    const wrong = await onAdd(typed);
    if (wrong === null) setTyped('');
    return wrong;
  });
  return (
    <form className="add-form of-one" aria-label={label} onSubmit={submit}>
      <Input
        aria-label={field}
        aria-describedby={problem === null ? undefined : id}
        placeholder={placeholder}
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          mend();
        }}
      />
      <Button htmlType="submit" loading={sending}>
        Add
      </Button>
      <Problem text={problem} id={id} />
    </form>
  );
}

/** What posts are sorted into, and where each leads. */
function Categories({ categories }: { categories: readonly Category[] }) {
  const { make } = useActions();
  const [section, focusNext] = useFocusNext<HTMLElement>(categories.length);
  return (
    <section ref={section} aria-label="Categories">
      <div className="subhead">
        <strong>Categories</strong>
        <span className="quiet">{categories.length === 1 ? '1 category' : `${categories.length} categories`}</span>
      </div>
      {categories.length > 0 && (
        <table className="values menu-items" aria-label="Categories in order">
          <thead>
            <tr>
              <th scope="col">Called</th>
              <th scope="col">Leads to</th>
              <th scope="col">Posts</th>
              <th scope="col">
                <span className="unseen">Order</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {categories.map((category, place) => (
              <CategoryRow
                key={category.id}
                category={category}
                place={place}
                count={categories.length}
                onRemove={() => {
                  focusNext('td.order button:last-child, .add-form input', place);
                  void make({ kind: 'removeCategory', category: category.id });
                }}
              />
            ))}
          </tbody>
        </table>
      )}
      <AddForm
        label="Add a category"
        field="Name of the new category"
        placeholder="a new category’s name"
        onAdd={(name) => make({ kind: 'addCategory', category: crypto.randomUUID(), name }, { saidAtItsPlace: true })}
      />
    </section>
  );
}

function CategoryRow({ category, place, count, onRemove }: { category: Category; place: number; count: number; onRemove: () => void }) {
  const { make } = useActions();
  const home = useEditing((e) => e.site.pages[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const set = (change: { name?: string; to?: string }): Edit => ({
    kind: 'setCategory',
    category: category.id,
    name: null,
    to: null,
    ...change,
  });
  return (
    <tr>
      <td>
        <ValueCell
          name={`Name of category ${category.name}`}
          text={category.name}
          inherited={null}
          names={[]}
          isWords
          edit={(name) => set({ name: name ?? '' })}
        />
      </td>
      <td>
        <LinkField
          label={`Where category ${category.name} leads`}
          held={category.to}
          page={home}
          problem={problem}
          onChoose={(to) => void make(set({ to }), { saidAtItsPlace: true }).then(setProblem)}
        />
      </td>
      <td className="quiet">{category.posts}</td>
      <td className="order">
        <Order
          called={`category ${category.name}`}
          place={place}
          count={count}
          onMove={(to) => void make({ kind: 'moveCategory', category: category.id, to })}
          onRemove={onRemove}
        />
      </td>
    </tr>
  );
}
