import { useEffect } from 'react';
import { create } from 'zustand';
import { useEditingStore } from '../site/editingContext';

interface Play {
  playing: boolean;
  /** Counts how often it was begun: each time it plays from the start. */
  times: number;
  play: () => void;
  stop: () => void;
}

/** Whether the stage moves: never of itself, only on request, and not while anything is edited. */
export const usePlay = create<Play>((set) => ({
  playing: false,
  times: 0,
  play: () => set((p) => ({ playing: true, times: p.times + 1 })),
  stop: () => set({ playing: false }),
}));

/** Marks a page as playing, so that its rules of motion hold. */
export function usePlayed(page: Document | null): void {
  const playing = usePlay((p) => p.playing);
  const times = usePlay((p) => p.times);
  const stop = usePlay((p) => p.stop);
  const store = useEditingStore();
  useEffect(() => {
    return store.subscribe((now, before) => {
      if (now.trial !== before.trial && now.trial !== null) stop();
    });
  }, [store, stop]);
  useEffect(() => {
    if (!page || !playing) return;
    const root = page.documentElement;
    // Laid out without it first, so that what has played plays again.
    root.removeAttribute('data-play');
    root.getBoundingClientRect();
    root.setAttribute('data-play', '');
    const stopClips = playClips(page);
    return () => {
      stopClips();
      root.removeAttribute('data-play');
    };
  }, [page, playing, times]);
}

/** Plays the clips of a page as its release does, without sound, until the returned function is called. */
export function playClips(page: Document): () => void {
  const playing = new AbortController();
  const clips = [...page.querySelectorAll<HTMLVideoElement>('.fill video')];
  for (const clip of clips) {
    const from = Number(clip.dataset.from ?? 0);
    const until = Number(clip.dataset.until ?? Infinity);
    const begin = () => {
      if (clip.currentTime < from || clip.currentTime >= until) clip.currentTime = from;
    };
    const finish = () => {
      clip.currentTime = from;
      if (clip.dataset.loops === undefined) clip.pause();
      else void clip.play().catch(() => undefined);
    };
    const { signal } = playing;
    clip.addEventListener('loadedmetadata', begin, { signal });
    clip.addEventListener('timeupdate', () => clip.currentTime >= until && finish(), { signal });
    clip.addEventListener('ended', finish, { signal });
    clip.muted = true;
    begin();
    void clip.play().catch(() => undefined);
  }
  return () => {
    playing.abort();
    for (const clip of clips) clip.pause();
  };
}
