import { useEffect, useState } from 'react';
import { api, ask, newId } from '../../../shared/api/client';

const EVERY_MS = 10_000;
const KEY = 'gradino.device';

/** Of this window, and the same after it was loaded anew. */
function deviceId(): string {
  const known = sessionStorage.getItem(KEY) ?? newId();
  sessionStorage.setItem(KEY, known);
  return known;
}

/** How many other devices have this session open. Not known while there is no server. */
export function useOthers(runId: string): number {
  const [others, setOthers] = useState(0);
  useEffect(() => {
    const path = { params: { path: { runId, device: deviceId() } } };
    const say = () =>
      ask(api.PUT('/api/runs/{runId}/devices/{device}', path)).then(
        (seen) => setOthers(seen.others),
        () => undefined,
      );
    void say();
    const timer = setInterval(() => void say(), EVERY_MS);
    return () => {
      clearInterval(timer);
      void api.DELETE('/api/runs/{runId}/devices/{device}', path).catch(() => undefined);
    };
  }, [runId]);
  return others;
}
