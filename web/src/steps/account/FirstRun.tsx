import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { AccountFields, EMPTY } from './AccountFields';

/** The first person here becomes the owner. */
export function FirstRun() {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [draft, setDraft] = useState(EMPTY);
  const [code, setCode] = useState('');
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/sign-in/owner', { body: { id, ...draft, code } })),
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
        Welcome. Nobody is here yet: you become the owner, who adds the coaches and looks after the data.
      </p>
      <TextField
        label="Code from the console where Gradino was started"
        autoComplete="off"
        value={code}
        onChange={setCode}
        path="code"
        findings={findings}
      />
      <AccountFields draft={draft} onChange={setDraft} findings={findings} name="Your name" password="Password" />
      <Failure error={findings.length > 0 ? null : make.error} />
      <Button type="submit" look="main" className="min-h-14 w-full text-xl" disabled={make.isPending}>
        Begin
      </Button>
    </form>
  );
}
