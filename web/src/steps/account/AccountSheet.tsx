import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { Failure } from '../../shared/ui/Findings';
import { Sheet } from '../../shared/ui/Sheet';
import { TextField } from '../../shared/ui/TextField';
import { forgetKept } from '../../shared/offline';
import { ROLE, type Account } from './signInState';

/** The ways out, the units, the password. */
export function AccountSheet({ me, close }: { me: Account; close: () => void }) {
  const leave = useMutation({
    mutationFn: (everywhere: boolean) => ask(api.POST('/api/me/sign-out', { params: { query: { everywhere } } })),
    // Loaded anew, so that nothing of this account stays in the window.
    onSuccess: () => forgetKept().finally(() => location.assign('/')),
  });
  return (
    <Sheet open onOpenChange={close} title={`${me.name}, ${ROLE[me.role]}`}>
      <div className="mb-6 flex flex-wrap gap-3">
        <Button look="main" onClick={() => leave.mutate(false)}>
          Sign out
        </Button>
        <Button onClick={() => leave.mutate(true)}>Sign out on every device</Button>
      </div>
      <Failure error={leave.error} />
      <UnitsChoice now={me.units} />
      <Password />
    </Sheet>
  );
}

/** Lengths and weights, in fields and on pages. */
function UnitsChoice({ now }: { now: Schemas['Account']['units'] }) {
  const set = useMutation({
    mutationFn: (units: Schemas['Account']['units']) => ask(api.PUT('/api/me/units', { body: { units } })),
    // Loaded anew: every number on the page is written in the other units.
    onSuccess: () => location.reload(),
  });
  return (
    <div className="mb-6">
      <Choice
        label="Lengths and weights"
        value={now}
        onChange={(units) => set.mutate(units)}
        options={[
          ['METRIC', 'cm, kg'],
          ['IMPERIAL', 'in, lb'],
        ]}
      />
      <Failure error={set.error} />
    </div>
  );
}

function Password() {
  const queries = useQueryClient();
  const [old, setOld] = useState('');
  const [wanted, setWanted] = useState('');
  const change = useMutation({
    mutationFn: () => ask(api.POST('/api/me/password', { body: { old, wanted } })),
    onSuccess: () => queries.invalidateQueries(),
  });
  const findings = findingsOf(change.error);
  return (
    <form
      className="space-y-4"
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate();
      }}
    >
      <h3 className="font-bold">Change password</h3>
      <TextField
        label="Password now"
        type="password"
        autoComplete="current-password"
        value={old}
        onChange={setOld}
        path="old"
        findings={findings}
      />
      <TextField
        label="New password, 12 letters or more"
        type="password"
        autoComplete="new-password"
        value={wanted}
        onChange={setWanted}
        path="wanted"
        findings={findings}
      />
      <Failure error={findings.length > 0 ? null : change.error} />
      <Button type="submit" disabled={change.isPending}>
        Change it
      </Button>
      {change.isSuccess && <p role="status">Changed; every other device is signed out.</p>}
    </form>
  );
}
