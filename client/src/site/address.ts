import { useCallback } from 'react';
import { useSearchParams } from 'react-router';

/** Sets names in the address, without a step of its own in the browser's history; those set to nothing leave it. */
export function useSetAddress(): (change: Record<string, string>) => void {
  const [, setParams] = useSearchParams();
  return useCallback(
    (change) =>
      setParams(
        (before) => {
          const next = new URLSearchParams(before);
          for (const [name, value] of Object.entries(change)) {
            if (value === '') next.delete(name);
            else next.set(name, value);
          }
          return next;
        },
        { replace: true },
      ),
    [setParams],
  );
}
