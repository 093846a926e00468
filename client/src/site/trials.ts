import { RequestFailed, type Edit, type TrialAnswer } from '../api/client';
import { latestWins } from './latestWins';
import type { TrialResult } from './live';

interface Trials {
  /** Computes an edit without storing it. */
  send: (edit: Edit) => Promise<TrialResult | undefined>;
  onStart: () => void;
  onEnd: () => void;
  onAnswer: (answer: TrialAnswer) => void;
  /** What is wrong with the value being tried. */
  onRefused: (message: string) => void;
  /** The connection was lost. */
  onLost: (message: string) => void;
}

/** Trials as the hand moves: one on its way, and of those that come in meanwhile the latest. */
export function createTrials({ send, onStart, onEnd, onAnswer, onRefused, onLost }: Trials) {
  return latestWins<Edit, TrialAnswer | RequestFailed>(
    async (edit) => {
      onStart();
      try {
        const start = performance.now();
        const result = await send(edit);
        performance.measure('trial', { start, detail: { core: result?.coreTime } });
        if (result?.answer) return result.answer;
        const problem = result?.problems[0];
        return new RequestFailed(problem && { detail: problem.message }, problem ? 400 : 409);
      } finally {
        onEnd();
      }
    },
    (result) => {
      if (!(result instanceof RequestFailed)) onAnswer(result);
      // A conflict is met again when the edit is made.
      else if (result.status === 400) onRefused(result.message);
    },
    () => onLost(new RequestFailed(undefined, 0).message),
  );
}
