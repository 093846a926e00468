import { HttpTransportType, HubConnectionBuilder, LogLevel } from '@microsoft/signalr';
import type { Schemas } from '../api/client';

export type TrialResult = Schemas['TrialResult'];

interface Followed {
  /** The site stands at a version now, changed in a window; null where the connection was lost for a while. */
  onVersion: (version: number, window: string | null) => void;
  onConnected: (connected: boolean) => void;
}

export interface Live {
  tryEdit: (request: Schemas['TrialRequest']) => Promise<TrialResult>;
  close: () => void;
}

const LONGEST_WAIT = 8000;

/** Opens the window's socket: it tells what others do to the site, and carries trials. A lost connection is taken up again for as long as the window is open. */
export function openLive(slug: string, { onVersion, onConnected }: Followed): Live {
  const connection = new HubConnectionBuilder()
    .withUrl('/api/live', { transport: HttpTransportType.WebSockets, skipNegotiation: true })
    .withAutomaticReconnect({
      nextRetryDelayInMilliseconds: ({ previousRetryCount }) => Math.min(LONGEST_WAIT, 250 * 2 ** previousRetryCount),
    })
    .configureLogging(LogLevel.None)
    .build();
  let closed = false;

  const follow = async () => {
    const version = await connection.invoke<number | null>('Follow', slug);
    onConnected(true);
    if (version !== null) onVersion(version, null);
  };
  const start = async (): Promise<void> => {
    for (let tries = 0; !closed; tries++) {
      try {
        await connection.start();
        return await follow();
      } catch {
        if (tries > 0) onConnected(false);
        await new Promise((go) => setTimeout(go, Math.min(LONGEST_WAIT, 250 * 2 ** tries)));
      }
    }
  };

  connection.on('changed', ({ version, window }: { version: number; window: string }) => onVersion(version, window));
  connection.onreconnecting(() => onConnected(false));
  connection.onreconnected(() => void follow().catch(() => undefined));
  const started = start();

  return {
    tryEdit: async (request) => {
      await started;
      return connection.invoke<TrialResult>('Try', slug, request);
    },
    close: () => {
      closed = true;
      void connection.stop();
    },
  };
}
