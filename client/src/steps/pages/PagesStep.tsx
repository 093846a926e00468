import { StepViews, useStepView } from '../../site/StepViews';
import { AsideList } from './AsideList';
import { OutlinePanel } from './OutlinePanel';
import { PagesList } from './PagesList';
import { PostsPanel } from './PostsPanel';
import './PagesStep.css';

const VIEWS = [
  { value: 'outline', label: 'Outline' },
  { value: 'pages', label: 'All pages' },
  { value: 'posts', label: 'Posts' },
  { value: 'aside', label: 'Set aside' },
] as const;

/** The pages of the site: what stands on each, all of them in order, the posts, and what was set aside. */
export default function PagesStep() {
  const view = useStepView(VIEWS);
  return (
    <section className="step-panel" aria-label="Pages">
      <div className="bar">
        <h1>Pages</h1>
        <StepViews label="Part of the pages" views={VIEWS} view={view} />
      </div>
      {view === 'outline' ? <OutlinePanel /> : view === 'pages' ? <PagesList /> : view === 'posts' ? <PostsPanel /> : <AsideList />}
    </section>
  );
}
