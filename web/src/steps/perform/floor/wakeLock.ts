import { useEffect, useState } from 'react';

/** Keeps the screen awake while running; says so in words where that is off. */
export function useWakeLock(wanted: boolean): string | null {
  const [trouble, setTrouble] = useState(false);
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const get = () => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (got) => {
          lock = got;
          setTrouble(false);
          if (gone) void got.release();
        },
        () => setTrouble(true),
      );
    };
    get();
    document.addEventListener('visibilitychange', get);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', get);
      void lock?.release();
    };
  }, [wanted]);
  const missing = !('wakeLock' in navigator) || trouble;
  return wanted && missing ? 'the screen may go dark' : null;
}
