import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { api, ask, SIGNED_OUT, type Schemas } from '../../shared/api/client';
import { forgetKept, user } from '../../shared/offline';
import { setImperial } from '../../shared/typed';

export type Account = Schemas['Account'];
export const SIGN_IN = ['signIn'];

/** Who is signed in here. Asked again as soon as the server does not know us any more. */
export function useSignInState() {
  const queries = useQueryClient();
  useEffect(() => {
    const again = () => {
      void forgetKept();
      void queries.invalidateQueries({ queryKey: SIGN_IN });
    };
    addEventListener(SIGNED_OUT, again);
    return () => removeEventListener(SIGNED_OUT, again);
  }, [queries]);
  return useQuery({
    queryKey: SIGN_IN,
    staleTime: 60_000,
    queryFn: async () => {
      const state = await ask(api.GET('/api/sign-in'));
      if (state.me) user.id = state.me.id;
      setImperial(state.me?.units === 'IMPERIAL');
      return state;
    },
  });
}

export const ROLE: Record<Account['role'], string> = { OWNER: 'owner', COACH: 'coach', ASSISTANT: 'assistant' };
