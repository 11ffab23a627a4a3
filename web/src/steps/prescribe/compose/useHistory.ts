import { useCallback, useState } from 'react';

type Past<T> = { past: T[]; now: T; future: T[]; key: string | null };

const MOST = 200;

/** A value with undo and redo; changes under the same key, like typing in one field, are one step. */
export function useHistory<T>(start: T) {
  const [state, setState] = useState<Past<T>>({ past: [], now: start, future: [], key: null });
  const change = useCallback((make: (now: T) => T, key: string | null = null) => {
    setState((s) => {
      const now = make(s.now);
      if (now === s.now) return s;
      const sameStep = key !== null && key === s.key;
      return { past: sameStep ? s.past : [...s.past, s.now].slice(-MOST), now, future: [], key };
    });
  }, []);
  const undo = useCallback(() => {
    setState((s) => {
      const before = s.past[s.past.length - 1];
      return before === undefined
        ? s
        : { past: s.past.slice(0, -1), now: before, future: [s.now, ...s.future], key: null };
    });
  }, []);
  const redo = useCallback(() => {
    setState((s) => {
      const next = s.future[0];
      return next === undefined ? s : { past: [...s.past, s.now], now: next, future: s.future.slice(1), key: null };
    });
  }, []);
  return { now: state.now, change, undo, redo, canUndo: state.past.length > 0, canRedo: state.future.length > 0 };
}
