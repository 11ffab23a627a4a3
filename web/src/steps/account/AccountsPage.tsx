import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { AccountFields, EMPTY } from './AccountFields';
import { Audit } from './Audit';
import { EndedLinks } from './EndedLinks';
import { ROLE, useSignInState, type Account } from './signInState';

const ROLES = (['COACH', 'ASSISTANT', 'OWNER'] as const).map((r) => [r, ROLE[r]] as const);

/** The owner's page: who may sign in, and who saw and changed what. */
export function AccountsPage() {
  const me = useSignInState().data?.me;
  if (me?.role !== 'OWNER') return <p>Only the studio’s owner changes accounts.</p>;
  return (
    <>
      <h1 className="mb-5 text-3xl font-bold">Accounts</h1>
      <div className="grid gap-10 lg:grid-cols-2">
        <div className="space-y-8">
          <People />
          <NewAccount />
        </div>
        <Audit />
      </div>
    </>
  );
}

function useChanged() {
  const queries = useQueryClient();
  return () => queries.invalidateQueries();
}

function People() {
  const people = useQuery({ queryKey: ['accounts'], queryFn: () => ask(api.GET('/api/accounts')) });
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Who may sign in</h2>
      <Failure error={people.error} />
      <ul>
        {people.data?.map((a) => (
          <Person key={a.id} account={a} />
        ))}
      </ul>
    </section>
  );
}

function Person({ account }: { account: Account }) {
  const onSuccess = useChanged();
  const [password, setPassword] = useState<string | null>(null);
  const path = { accountId: account.id };
  const disable = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/accounts/{accountId}/disabled', { params: { path }, body: { on: !account.disabled } })),
    onSuccess,
  });
  const reset = useMutation({
    mutationFn: () =>
      ask(api.PUT('/api/accounts/{accountId}/password', { params: { path }, body: { password: password ?? '' } })),
    onSuccess: () => setPassword(null),
  });
  return (
    <li className="border-t border-rule py-3">
      <div className="flex flex-wrap items-center gap-3">
        <p className={`grow ${account.disabled ? 'text-soft line-through' : ''}`}>
          <strong>{account.name}</strong>, {ROLE[account.role]}
          <span className="block text-sm text-soft">signs in as {account.signIn}</span>
        </p>
        <Button onClick={() => setPassword(password === null ? '' : null)}>New password</Button>
        <Button onClick={() => disable.mutate()}>{account.disabled ? 'Reopen account' : 'Close account'}</Button>
      </div>
      <Failure error={disable.error} />
      <EndedLinks ended={disable.data?.ended} />
      {password !== null && (
        <form
          className="mt-2 flex flex-wrap items-end gap-3"
          onSubmit={(e) => {
            e.preventDefault();
            reset.mutate();
          }}
        >
          <TextField
            label={`New password for ${account.name}`}
            type="password"
            autoComplete="new-password"
            value={password}
            onChange={setPassword}
            path="password"
            findings={findingsOf(reset.error)}
          />
          <Button type="submit">Set it</Button>
        </form>
      )}
      {reset.isSuccess && password === null && <p role="status">Set; this account is signed out everywhere.</p>}
    </li>
  );
}

function NewAccount() {
  const changed = useChanged();
  const [id, setId] = useState(newId);
  const [draft, setDraft] = useState(EMPTY);
  const [role, setRole] = useState<Account['role']>('COACH');
  const add = useMutation({
    mutationFn: () => ask(api.POST('/api/accounts', { body: { id, ...draft, role } })),
    onSuccess: () => {
      setId(newId());
      setDraft(EMPTY);
      void changed();
    },
  });
  const findings = findingsOf(add.error);
  return (
    <form
      className="space-y-4"
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate();
      }}
    >
      <h2 className="text-xl font-bold">New account</h2>
      <Choice label="May do" value={role} options={ROLES} onChange={setRole} />
      <p className="text-sm text-soft">
        Coaches see their own clients and those shared with them; assistants read what is shared; owners see all.
      </p>
      <AccountFields draft={draft} onChange={setDraft} findings={findings} name="Name" password="First password" />
      <Failure error={findings.length > 0 ? null : add.error} />
      <Button type="submit" look="main" disabled={add.isPending}>
        Add
      </Button>
    </form>
  );
}
