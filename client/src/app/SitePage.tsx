import { Alert, App, Button } from 'antd';
import { useCallback, useEffect, useState } from 'react';
import { Group, Panel, Separator } from 'react-resizable-panels';
import { Navigate, useLocation, useParams } from 'react-router';
import { useOpenSite } from '../site/useOpenSite';
import { MeasuringFrame } from '../stage/MeasuringFrame';
import { Stage } from '../stage/Stage';
import { useStageView } from '../stage/view';
import { Boundary } from './Boundary';
import { CourseBar } from './CourseBar';
import { EditingContext, useActions, useEditing, useEditingStore } from '../site/editingContext';
import { Find } from './Find';
import { useShortcuts } from './shortcuts';
import { StatusLine } from './StatusLine';
import { StepPanel } from './StepPanel';
import { STEPS } from './steps';
import { TopBar } from './TopBar';
import { Waiting } from '../ui/Waiting';
import './SitePage.css';

/** A site at a step. */
export function SitePage() {
  const { site: slug = '' } = useParams();
  const open = useOpenSite(slug);
  if (open.isPending) {
    return (
      <main className="waiting" aria-busy="true" aria-label="Opening the site">
        <Waiting rows={8} />
      </main>
    );
  }
  if (open.isError) {
    return (
      <main className="waiting">
        <h1>This site cannot be opened</h1>
        <Alert
          type="error"
          title="It stays as it was"
          description={open.error.message}
          action={
            <>
              <Button onClick={() => void open.refetch()}>Try again</Button> <Button href="/">All sites</Button>
            </>
          }
        />
      </main>
    );
  }
  return (
    <EditingContext value={open.data}>
      <Workplace />
    </EditingContext>
  );
}

function Workplace() {
  const { site: slug, step } = useParams();
  const name = useEditing((e) => e.site.name);
  const [finding, setFinding] = useState(false);
  const openFind = useCallback(() => setFinding(true), []);
  const [{ whole }] = useStageView();
  useShortcuts(openFind);
  useSettledMark();
  useAddressMark();
  useTrouble();
  const { connect } = useActions();
  useEffect(connect, [connect]);
  const known = STEPS.find((s) => s.id === step);
  useEffect(() => {
    document.title = `${known?.name ?? 'Site'} · ${name} · Sandbar`;
  }, [known, name]);
  if (!known) return <Navigate to={`/sites/${slug}/palette`} replace />;
  return (
    <div className={whole ? 'workplace whole' : 'workplace'}>
      <TopBar onFind={openFind} />
      <CourseBar />
      <main className="work">
        <Group orientation="horizontal" className="panels">
          <Panel defaultSize="43%" minSize="360px" className="panel">
            <StepPanel step={known} />
          </Panel>
          <Separator className="splitter" aria-label="Width of the panel" />
          <Panel minSize="360px" className="panel">
            <Boundary title="The stage cannot be shown just now">
              <Stage />
            </Boundary>
          </Panel>
        </Group>
      </main>
      <StatusLine />
      <MeasuringFrame />
      {finding && <Find onClose={() => setFinding(false)} />}
    </div>
  );
}

/** Shows what went wrong until it is read. */
function useTrouble(): void {
  const trouble = useEditing((e) => e.trouble);
  const { forgetTrouble: forget } = useActions();
  const { notification } = App.useApp();
  useEffect(() => {
    if (!trouble) return;
    notification.warning({ key: trouble, title: trouble, duration: 8, placement: 'bottomLeft' });
    forget();
  }, [trouble, forget, notification]);
}

/** data-shows on the root: the address that is shown. The window's own is ahead of it while a step is being put together; browser tests wait for it. */
function useAddressMark(): void {
  const { pathname, search } = useLocation();
  useEffect(() => {
    document.documentElement.dataset.shows = pathname + search;
  }, [pathname, search]);
}

/** data-version and data-settled on the root: nothing in flight, the stage on that version. Browser tests wait for these alone. */
function useSettledMark(): void {
  const store = useEditingStore();
  useEffect(() => {
    const root = document.documentElement;
    const mark = () => {
      const { site, pending, typed } = store.getState();
      const version = String(site.version);
      const settled = String(
        pending === 0 && Object.values(typed).every((t) => t.wrong) && root.dataset.loading === undefined && root.dataset.stage === version,
      );
      if (root.dataset.version !== version) root.dataset.version = version;
      if (root.dataset.settled !== settled) root.dataset.settled = settled;
    };
    mark();
    const unsubscribe = store.subscribe(mark);
    const observer = new MutationObserver(mark);
    observer.observe(root, { attributeFilter: ['data-stage', 'data-loading'] });
    return () => {
      unsubscribe();
      observer.disconnect();
    };
  }, [store]);
}
