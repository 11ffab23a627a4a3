import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { counted, day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { MadeLink } from '../../shared/ui/MadeLink';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';

const USUAL_DAYS = 84;

/** A client's links home: made, shown once as an address and a code to point a phone at, and ended. */
export function LinksPage() {
  const { clientId = '' } = useParams();
  const path = { params: { path: { clientId } } };
  const links = useQuery({
    queryKey: ['home-links', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/home-links', path)),
  });
  return (
    <>
      <ClientHead clientId={clientId} tread="perform" />
      <div className="grid gap-10 lg:grid-cols-2">
        <NewLink clientId={clientId} />
        <section>
          <h2 className="mb-2 text-xl font-bold">Links so far</h2>
          <Failure error={links.error} />
          {links.data?.length === 0 && <p className="text-soft">None yet: this client has no way in from home.</p>}
          <ul>
            {links.data?.map((l) => (
              <OneLink key={l.id} clientId={clientId} link={l} />
            ))}
          </ul>
        </section>
      </div>
    </>
  );
}

function NewLink({ clientId }: { clientId: string }) {
  const queries = useQueryClient();
  const [days, setDays] = useState<number | null>(USUAL_DAYS);
  const [pin, setPin] = useState('');
  const make = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/home-links', {
          params: { path: { clientId } },
          body: { id: newId(), days: days ?? 0, pin: pin.trim() === '' ? undefined : pin.trim() },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['home-links', clientId] }),
  });
  const findings = findingsOf(make.error);
  if (make.data) return <MadeLink address={`${location.origin}/home#${make.data.token}`} again={() => make.reset()} />;
  return (
    <section className="space-y-4">
      <h2 className="text-xl font-bold">A new link for home</h2>
      <p className="max-w-prose text-soft">
        It opens this client’s own plan and floor on their phone, and nothing else. It can be ended at any time.
      </p>
      <div className="flex flex-wrap gap-4">
        <div className="w-32">
          <NumberField label="Good for" unit="days" value={days} onChange={setDays} path="days" findings={findings} />
        </div>
        <div className="w-48">
          <TextField
            label="PIN, if wanted (4 to 8 digits)"
            value={pin}
            onChange={setPin}
            path="pin"
            findings={findings}
          />
        </div>
      </div>
      <Failure error={findings.length > 0 ? null : make.error} />
      <Button look="main" onClick={() => make.mutate()} disabled={make.isPending}>
        Make the link
      </Button>
    </section>
  );
}

function OneLink({ clientId, link }: { clientId: string; link: Schemas['HomeLink'] }) {
  const queries = useQueryClient();
  const end = useMutation({
    mutationFn: () =>
      ask(
        api.DELETE('/api/clients/{clientId}/home-links/{linkId}', {
          params: { path: { clientId, linkId: link.id } },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['home-links', clientId] }),
  });
  return (
    <li className="flex flex-wrap items-center gap-3 border-t border-rule py-2">
      <span className="grow">
        <span className={link.stands ? 'font-semibold' : 'text-soft'}>
          {link.stands ? `works until ${day(link.expiresAt)}` : link.state}
        </span>{' '}
        <span className="text-sm text-soft">
          {link.report ? 'a report' : 'the training'}, made {day(link.madeAt)}, {link.pin ? 'with a PIN' : 'no PIN'},{' '}
          {used(link)}
        </span>
      </span>
      {link.stands && (
        <Button className="text-sm" onClick={() => end.mutate()} disabled={end.isPending}>
          End it
        </Button>
      )}
      <Failure error={end.error} />
    </li>
  );
}

function used(link: Schemas['HomeLink']): string {
  if (link.report) return link.opened === 0 ? 'not opened yet' : `opened ${counted(link.opened, 'time')}`;
  return link.devices === 0 ? 'not used yet' : `used on ${counted(link.devices, 'device')}`;
}
