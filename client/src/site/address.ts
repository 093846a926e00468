import { useCallback } from 'react';
import { useNavigate } from 'react-router';

/** The address as it is being changed: several changes may come before the router has made the first of them. */
let changing: { path: string; params: URLSearchParams } | null = null;

/** Changes the names in the address, without a step of its own in the browser's history. */
export function useChangeAddress(): (change: (before: URLSearchParams) => URLSearchParams) => void {
  const navigate = useNavigate();
  return useCallback(
    (change) => {
      const { pathname: path, search } = window.location;
      const params = change(changing?.path === path ? changing.params : new URLSearchParams(search));
      changing = { path, params };
      window.setTimeout(() => (changing = null));
      void navigate({ search: params.toString() }, { replace: true });
    },
    [navigate],
  );
}

/** Sets names in the address; those set to nothing leave it. */
export function useSetAddress(): (change: Record<string, string>) => void {
  const changeAddress = useChangeAddress();
  return useCallback(
    (change) =>
      changeAddress((before) => {
        const next = new URLSearchParams(before);
        for (const [name, value] of Object.entries(change)) {
          if (value === '') next.delete(name);
          else next.set(name, value);
        }
        return next;
      }),
    [changeAddress],
  );
}
