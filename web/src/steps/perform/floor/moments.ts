import { useSyncExternalStore } from 'react';

/** The moment by which a run is drawn, and word when it has moved on. */
export type Moments = { subscribe: (listener: () => void) => () => void; now: () => number };

/** What is read off the moment; drawn anew only when that changes, not at every tick. */
export function useMoment<T extends string | number | boolean>(moments: Moments, read: (now: number) => T): T {
  return useSyncExternalStore(moments.subscribe, () => read(moments.now()));
}
