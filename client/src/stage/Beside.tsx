import { useQuery } from '@tanstack/react-query';
import { Button, Select } from 'antd';
import { answered, api, type LookView, type Schemas } from '../api/client';
import { AS_IT_IS, useCandidates, type Candidate, type Comparison } from '../site/candidates';
import { useActions, useEditing } from '../site/editingContext';
import { LivePage } from './LivePage';
import { useCandidateTrial } from './useCandidateTrial';
import type { Viewport } from './view';
import './Beside.css';

interface Props {
  comparison: Comparison;
  page: { id: string; name: string };
  viewport: Viewport;
  height: number;
  scale: number;
  onSelect: (look: LookView, block: string | null) => void;
}

/** The page twice, each with a candidate, at the same place. */
export function Beside({ comparison, page, viewport, height, scale, onSelect }: Props) {
  return (
    <>
      {comparison.pair.map((candidate, place) => (
        <figure key={place} className="stage-frame" aria-label={`${place === 0 ? 'Left' : 'Right'}: ${candidate.name}`}>
          <CandidatePage
            candidate={candidate}
            page={page}
            viewport={viewport}
            height={height}
            scale={scale}
            leads={place === 0}
            onSelect={onSelect}
          />
        </figure>
      ))}
    </>
  );
}

function CandidatePage({
  candidate,
  page,
  viewport,
  height,
  scale,
  leads,
  onSelect,
}: Omit<Props, 'comparison'> & { candidate: Candidate; leads: boolean }) {
  const { trial, problem } = useCandidateTrial(candidate, page.id);
  return (
    <>
      {problem !== null && (
        <p className="problem" role="alert">
          {problem}
        </p>
      )}
      <LivePage
        page={page.id}
        name={page.name}
        viewport={viewport}
        height={height}
        scale={scale}
        scheme={null}
        leads={leads}
        candidate={trial ?? null}
        onSelect={onSelect}
      />
    </>
  );
}

type Figures = Schemas['CandidateView'];

/** Which two stand beside each other, what differs in figures, and which is taken. */
export function BesideBar({ comparison, others }: { comparison: Comparison; others: readonly Candidate[] }) {
  const slug = useEditing((e) => e.site.slug);
  const version = useEditing((e) => e.site.version);
  const { make } = useActions();
  const { choose, swap, end } = useCandidates();
  const { of, id, pair } = comparison;
  const figures = useQuery({
    queryKey: ['candidates', slug, version, of, id, pair],
    queryFn: () =>
      answered(
        api.POST('/api/sites/{slug}/type/candidates', {
          params: { path: { slug } },
          body: { of, id, candidates: pair.map(({ edit }) => ({ edit })) },
        }),
      ),
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  });
  const [left, right] = figures.data ?? [];
  const take = async (candidate: Candidate) => {
    if (candidate.edit === null || (await make(candidate.edit)) === null) end();
  };
  return (
    <div className="beside-bar" role="group" aria-label="Side by side">
      {pair.map((candidate, place) => (
        <div key={place} className="beside-one">
          <Select
            size="small"
            aria-label={place === 0 ? 'Left' : 'Right'}
            showSearch={{ optionFilterProp: 'label' }}
            value={candidate.key}
            popupMatchSelectWidth={false}
            options={[...new Map([...pair, ...others].map((c) => [c.key, c])).values()].map((c) => ({ value: c.key, label: c.name }))}
            onChange={(key) => {
              const chosen = [...others, ...pair].find((c) => c.key === key);
              if (chosen) choose(place as 0 | 1, chosen);
            }}
          />
          <Button size="small" type={candidate.edit === null ? 'default' : 'primary'} onClick={() => void take(candidate)}>
            {candidate.key === AS_IT_IS ? 'Keep as it is' : `Take ${candidate.name}`}
          </Button>
          {place === 0 && (
            <Button size="small" title="Left becomes right (F)" onClick={swap}>
              Swap
            </Button>
          )}
          {place === 1 && (
            <Button size="small" onClick={end}>
              Close
            </Button>
          )}
        </div>
      ))}
      <p className="beside-figures" role="status">
        {figures.isError ? figures.error.message : left && right ? said(left, right) : '…'}
      </p>
    </div>
  );
}

/** What differs, in words. */
export function said(left: Figures, right: Figures): string {
  const parts = [
    compared('x-height', left.xHeight, right.xHeight, (n) => n.toFixed(3).replace(/^0/, '')),
    compared('capitals', left.capHeight, right.capHeight, (n) => n.toFixed(3).replace(/^0/, '')),
    compared('text', left.textWidth, right.textWidth, null),
    left.weights === right.weights ? null : `weights ${left.weights || 'as the device has'} | ${right.weights || 'as the device has'}`,
    left.hasItalics === right.hasItalics ? null : `italics ${left.hasItalics ? 'left' : 'right'} alone`,
  ].filter((part) => part !== null);
  return parts.length === 0 ? 'Nothing differs in figures' : parts.join(' · ');
}

function compared(what: string, left: number | null, right: number | null, shown: ((n: number) => string) | null): string | null {
  if (left === null || right === null) return `${what} not known`;
  const share = Math.round((right / left - 1) * 1000) / 10;
  if (share === 0) return null;
  const by = `${Math.abs(share)} %`;
  return shown
    ? `${what} ${shown(left)} | ${shown(right)} (${share > 0 ? '+' : '−'}${by})`
    : `${what} ${by} ${share > 0 ? 'wider' : 'narrower'} on the right`;
}
