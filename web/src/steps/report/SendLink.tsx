import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { api, ask, findingsOf, newId } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { MadeLink } from '../../shared/ui/MadeLink';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import type { Query } from './asked';

const USUAL_DAYS = 28;

/** A link that opens these days' report in the client's words, and nothing else. */
export function SendLink({ clientId, asked }: { clientId: string; asked: Query }) {
  const [days, setDays] = useState<number | null>(USUAL_DAYS);
  const [pin, setPin] = useState('');
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/report-links', {
          params: { path: { clientId } },
          body: { id: newId(), days: days ?? 0, pin: pin.trim() === '' ? undefined : pin.trim(), report: asked },
        }),
      ),
  });
  if (make.data) {
    return <MadeLink address={`${location.origin}/report#${make.data.token}`} again={() => make.reset()} />;
  }
  const findings = findingsOf(make.error);
  return (
    <section>
      <h3 className="mb-1 font-bold">Send it to the client</h3>
      <p className="mb-2 text-sm text-soft">
        A link to these days’ report in plain words, and to nothing else. It can be ended under{' '}
        <Link className="underline" to={`/clients/${clientId}/home`}>
          links
        </Link>
        .
      </p>
      <div className="flex flex-wrap gap-4">
        <div className="w-28">
          <NumberField label="Good for" unit="days" value={days} onChange={setDays} path="days" findings={findings} />
        </div>
        <div className="w-36">
          <TextField label="PIN, if wanted" value={pin} onChange={setPin} path="pin" findings={findings} />
        </div>
      </div>
      <Failure error={findings.length > 0 ? null : make.error} />
      <Button className="mt-2" disabled={make.isPending} onClick={() => make.mutate()}>
        Make the link
      </Button>
    </section>
  );
}
