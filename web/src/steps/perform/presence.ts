import { useEffect, useState } from 'react';
import { api, ask, newId } from '../../shared/api/client';

const EVERY_MS = 10_000;
const KEY = 'gradino.device';

/** Of this window, and the same after it was loaded anew. */
function deviceId(): string {
  const known = sessionStorage.getItem(KEY) ?? newId();
  sessionStorage.setItem(KEY, known);
  return known;
}

/** How many other devices have this session open. Not known while there is no server. */
export function useOthers(sessionId: string): number {
  const [others, setOthers] = useState(0);
  useEffect(() => {
    const path = { params: { path: { sessionId, device: deviceId() } } };
    const say = () =>
      ask(api.PUT('/api/sessions/{sessionId}/devices/{device}', path)).then(
        (seen) => setOthers(seen.others),
        () => undefined,
      );
    void say();
    const timer = setInterval(() => void say(), EVERY_MS);
    return () => {
      clearInterval(timer);
      void api.DELETE('/api/sessions/{sessionId}/devices/{device}', path).catch(() => undefined);
    };
  }, [sessionId]);
  return others;
}
