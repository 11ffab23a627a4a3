import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState, type ReactNode } from 'react';
import { api, ask, findingsOf, ProblemError } from '../../shared/api/client';
import { StairGlyph } from '../../shared/draw/StairGlyph';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { usePlan } from './usePlan';

/** The link's key stands behind the # of the address, which no server and no log sees; it is taken out of it at once. */
function takeKey(): string {
  const key = location.hash.slice(1);
  if (key) history.replaceState(null, '', location.pathname);
  return key;
}

/** By the link and, where there is one, its PIN; afterwards the device is known until the link ends. */
export function Door({ children }: { children: ReactNode }) {
  const [key, setKey] = useState(takeKey);
  const plan = usePlan();
  // A link that is pressed while the page is open is a new one.
  useEffect(() => {
    const changed = () => setKey(takeKey());
    addEventListener('hashchange', changed);
    return () => removeEventListener('hashchange', changed);
  }, []);
  if (key) return <Enter key={key} token={key} done={() => setKey('')} />;
  if (plan.data) return children;
  if (!plan.error) return <p className="p-6 text-soft">One moment…</p>;
  const unknown = plan.error instanceof ProblemError && plan.error.status === 401;
  return (
    <Doorstep>
      {unknown ? (
        <p className="text-xl">
          Open the link from your coach on this device. If it no longer works, ask for a new one.
        </p>
      ) : (
        <Failure error={plan.error} />
      )}
    </Doorstep>
  );
}

function Enter({ token, done }: { token: string; done: () => void }) {
  const queries = useQueryClient();
  const [pin, setPin] = useState('');
  const enter = useMutation({
    mutationFn: (typed: string) =>
      ask(api.POST('/api/home/enter', { body: { token, pin: typed === '' ? undefined : typed } })),
    onSuccess: async () => {
      await queries.resetQueries();
      done();
    },
  });
  const { mutate } = enter;
  useEffect(() => mutate(''), [mutate]);
  const findings = findingsOf(enter.error);
  const asked = findings.some((f) => f.path === 'pin');
  if (!enter.error) return <p className="p-6 text-soft">One moment…</p>;
  return (
    <Doorstep>
      {asked ? (
        <form
          className="space-y-4"
          onSubmit={(e) => {
            e.preventDefault();
            mutate(pin);
          }}
        >
          <TextField
            label="PIN from your coach"
            value={pin}
            onChange={setPin}
            path="pin"
            findings={findings}
            autoFocus
          />
          <Button look="main" type="submit" className="min-h-14 w-full text-xl" disabled={enter.isPending}>
            Come in
          </Button>
        </form>
      ) : (
        <p role="alert" className="text-xl">
          {enter.error.message}
        </p>
      )}
    </Doorstep>
  );
}

function Doorstep({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-dvh max-w-md flex-col justify-center px-5 py-8">
      <h1 className="mb-6 flex items-center gap-3 text-3xl font-bold">
        <StairGlyph /> My training
      </h1>
      {children}
    </main>
  );
}
