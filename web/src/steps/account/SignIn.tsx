import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { ROLE } from './signInState';

export function SignIn({ state }: { state: Schemas['SignInState'] }) {
  const queries = useQueryClient();
  const [signIn, setSignIn] = useState('');
  const [password, setPassword] = useState('');
  const enter = useMutation({
    mutationFn: (body: Schemas['SignInDraft']) => ask(api.POST('/api/sign-in', { body })),
    onSuccess: () => queries.invalidateQueries(),
  });
  const findings = findingsOf(enter.error);
  const demoPassword = state.demoPassword;
  return (
    <>
      <form
        className="space-y-5"
        onSubmit={(e) => {
          e.preventDefault();
          enter.mutate({ signIn, password });
        }}
      >
        <TextField label="Sign-in name" value={signIn} onChange={setSignIn} autoComplete="username" autoFocus />
        <TextField
          label="Password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={setPassword}
          path="password"
          findings={findings}
        />
        <Failure error={findings.length > 0 ? null : enter.error} />
        <Button type="submit" look="main" className="min-h-14 w-full text-xl" disabled={enter.isPending}>
          {enter.isPending ? 'One moment…' : 'Sign in'}
        </Button>
      </form>
      {demoPassword !== undefined && (
        <section className="mt-8 border-t border-rule pt-4">
          <h2 className="mb-2 font-bold">Lantern Quay Studio, the demo: sign in as</h2>
          <div className="grid gap-2">
            {state.demo.map((a) => (
              <Button key={a.id} onClick={() => enter.mutate({ signIn: a.signIn, password: demoPassword })}>
                {a.name}, {ROLE[a.role]}
              </Button>
            ))}
          </div>
        </section>
      )}
    </>
  );
}
