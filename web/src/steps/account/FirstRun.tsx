import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';

/** The first person here becomes the owner. */
export function FirstRun() {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [name, setName] = useState('');
  const [signIn, setSignIn] = useState('');
  const [password, setPassword] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/sign-in/owner', { body: { id, name, signIn, password, role: 'OWNER' } })),
    onSuccess: () => queries.invalidateQueries(),
  });
  const findings = findingsOf(make.error);
  return (
    <form
      className="space-y-5"
      onSubmit={(e) => {
        e.preventDefault();
        make.mutate();
      }}
    >
      <p className="text-lg">
        Welcome. Nobody is here yet: you become the owner, who adds the coaches and keeps the data.
      </p>
      <TextField label="Your name" value={name} onChange={setName} path="name" findings={findings} autoFocus />
      <TextField
        label="Name to sign in with"
        autoComplete="username"
        value={signIn}
        onChange={setSignIn}
        path="signIn"
        findings={findings}
      />
      <TextField
        label="Password, 12 letters or more"
        type="password"
        autoComplete="new-password"
        value={password}
        onChange={setPassword}
        path="password"
        findings={findings}
      />
      <Failure error={findings.length > 0 ? null : make.error} />
      <Button type="submit" look="main" className="min-h-14 w-full text-xl" disabled={make.isPending}>
        Begin
      </Button>
    </form>
  );
}
