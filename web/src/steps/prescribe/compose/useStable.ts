import { useCallback, useLayoutEffect, useRef } from 'react';

/** The same function from drawing to drawing, doing what the newest one does: what takes it need not be drawn anew. */
export function useStable<A extends unknown[], R>(newest: (...args: A) => R): (...args: A) => R {
  const latest = useRef(newest);
  useLayoutEffect(() => {
    latest.current = newest;
  });
  return useCallback((...args: A) => latest.current(...args), []);
}
