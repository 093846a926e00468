/**
 * Runs one job at a time; of those that come in meanwhile only the latest is run.
 * Aborting the running one instead would starve the picture: most inputs would never be shown.
 */
export function latestWins<Job, Result>(
  run: (job: Job) => Promise<Result>,
  commit: (result: Result, job: Job) => void,
  onError: (error: unknown) => void,
): { push: (job: Job) => void; clear: () => void } {
  let next: { job: Job } | null = null;
  let busy = false;
  let generation = 0;
  const pump = async () => {
    if (busy) return;
    busy = true;
    try {
      while (next) {
        const { job } = next;
        next = null;
        const started = generation;
        try {
          const result = await run(job);
          if (started === generation) commit(result, job);
        } catch (error) {
          onError(error);
        }
      }
    } finally {
      busy = false;
    }
  };
  return {
    push: (job) => {
      next = { job };
      void pump();
    },
    clear: () => {
      next = null;
      generation++;
    },
  };
}
