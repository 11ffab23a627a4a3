import { useCallback, useEffect, useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../shared/api/client';
import { StairGlyph } from '../shared/draw/StairGlyph';
import { ToldView } from '../shared/report/ToldView';
import { Button } from '../shared/ui/Button';
import { TextField } from '../shared/ui/TextField';

/** The link's key stands behind the # of the address, which no server and no log sees. */
function useKey(): string {
  const [key, setKey] = useState(location.hash.slice(1));
  useEffect(() => {
    const changed = () => setKey(location.hash.slice(1));
    addEventListener('hashchange', changed);
    return () => removeEventListener('hashchange', changed);
  }, []);
  return key;
}

/** A client's own report, for whoever has its link. */
export function SharedReport() {
  const token = useKey();
  const [told, setTold] = useState<Schemas['Told'] | null>(null);
  const [error, setError] = useState<Error | null>(null);
  const open = useCallback(
    (pin: string) => {
      ask(api.POST('/api/shared-report', { body: { token: token || '-', pin: pin === '' ? undefined : pin } })).then(
        setTold,
        setError,
      );
    },
    [token],
  );
  useEffect(() => open(''), [open]);
  return (
    <main className="mx-auto max-w-4xl px-4 py-5">
      <p className="mb-4 flex items-center gap-2 font-bold">
        <StairGlyph /> Gradino
      </p>
      {told ? <Opened told={told} /> : error ? <Closed error={error} open={open} /> : <p>One moment…</p>}
    </main>
  );
}

function Opened({ told }: { told: Schemas['Told'] }) {
  return (
    <>
      <ToldView told={told} />
      <Button className="no-print mt-4" onClick={() => print()}>
        Print
      </Button>
    </>
  );
}

function Closed({ error, open }: { error: Error; open: (pin: string) => void }) {
  const [pin, setPin] = useState('');
  const findings = findingsOf(error);
  if (!findings.some((f) => f.path === 'pin')) {
    return (
      <p role="alert" className="text-xl">
        {error.message}
      </p>
    );
  }
  return (
    <form
      className="max-w-sm space-y-4"
      onSubmit={(e) => {
        e.preventDefault();
        open(pin);
      }}
    >
      <TextField label="PIN from your coach" value={pin} onChange={setPin} path="pin" findings={findings} autoFocus />
      <Button look="main" type="submit" className="min-h-14 w-full text-xl">
        Open
      </Button>
    </form>
  );
}
