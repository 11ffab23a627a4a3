import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { flushSync } from 'react-dom';
import { api, ask, type Schemas } from '../../../shared/api/client';
import type { Draft } from './edit';

export type Preview = Schemas['ScorePreview'];
const NONE: Preview['phases'] = [];
type State = { preview: Preview | null; error: Error | null };

/**
 * What did not change stays the same object, so that it is not drawn anew. Phases move with every second that comes before them:
 * the score itself looks which of them are the same.
 */
function kept(before: Preview | null, now: Preview): Preview {
  if (!before) return now;
  return { ...replaceEqualDeep({ ...before, phases: NONE }, { ...now, phases: NONE }), phases: now.phases };
}

/**
 * What the server says of the draft. One question at a time: while one is on its way only the newest draft waits, so that
 * dragging is never behind by more than one answer.
 */
export function usePreview(clientId: string, draft: Draft): State {
  const [state, setState] = useState<State>({ preview: null, error: null });
  const waiting = useRef<Draft | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    waiting.current = draft;
    const next = async () => {
      if (busy.current) return;
      busy.current = true;
      while (waiting.current) {
        const asked = waiting.current;
        waiting.current = null;
        try {
          const preview = await ask(
            api.POST('/api/clients/{clientId}/score/preview', { params: { path: { clientId } }, body: asked }),
          );
          flushSync(() => setState((s) => ({ preview: kept(s.preview, preview), error: null })));
        } catch (error) {
          setState((s) => ({ preview: s.preview, error: error as Error }));
        }
      }
      busy.current = false;
    };
    void next();
  }, [clientId, draft]);
  return state;
}
