import { useEffect, useState } from 'react';

/** The value as it was once it rested for {@code ms}. */
export function useDebounced<T>(value: T, ms: number): T {
  const [rested, setRested] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setRested(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return rested;
}
