import { useQuery } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { DUE } from '../../shared/restrictions';
import { day, degrees, words } from '../../shared/units';
import { ClientHead } from '../../shared/ui/ClientHead';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Failure } from '../../shared/ui/Findings';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Clearances } from './Clearances';
import { Pauses } from './Pauses';
import { Restrictions } from './Restrictions';

type ClientFile = Schemas['ClientFile'];

export function ClientPage() {
  const { clientId = '' } = useParams();
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path: { clientId } } })),
  });
  if (client.error) return <Failure error={client.error} />;
  return (
    <>
      <ClientHead clientId={clientId} tread="meet" />
      {client.data && (
        <div className="grid gap-8 md:grid-cols-2">
          <File client={client.data} />
          <div className="space-y-8">
            <Screened client={client.data} />
            <Restrictions client={client.data} />
            <Clearances client={client.data} />
            <Pauses clientId={client.data.id} />
          </div>
        </div>
      )}
    </>
  );
}

function File({ client }: { client: ClientFile }) {
  const d = client.details;
  const catalogue = useCatalogue();
  const equipment = d.equipment.map((id) => catalogue.data?.equipment.find((e) => e.id === id)?.name ?? id);
  const rows: [string, string | null][] = [
    ['Goal', d.goal || null],
    ...d.goals.map((g): [string, string] => [
      `needs in ${words(g.motion)}`,
      degrees(g.degrees) + (g.replacesTable ? ', in place of the table' : ''),
    ]),
    ['History', d.history || null],
    ['Born', d.birthDate ? new Date(d.birthDate).toLocaleDateString() : null],
    ['Minutes a session', d.minutes === undefined ? null : `${d.minutes} min`],
    ['Days', d.days.length === 0 ? null : d.days.map((x) => x.slice(0, 1) + x.slice(1, 3).toLowerCase()).join(', ')],
    ['Equipment', equipment.length === 0 ? null : equipment.join(', ')],
    ['Weight', d.massKg === undefined ? null : `${d.massKg} kg`],
    ['Stature', d.statureCm === undefined ? null : `${d.statureCm} cm`],
    ...client.lengths.map((l): [string, string] => [
      capital(l.words),
      `${l.cm.toFixed(1)} cm ${l.fromStature ? 'from stature' : 'measured'}, ± ${(2 * l.uncertaintyCm).toFixed(1)}`,
    ]),
    ['Beighton score', client.beighton === undefined ? null : `${client.beighton} of 9`],
    ['Blocks stack in', `${d.blockStepCm} cm`],
  ];
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">File</h2>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {rows.map(([name, value]) => (
          <div className="contents" key={name}>
            <dt className="text-soft">{name}</dt>
            <dd className={value === null ? 'text-soft' : 'font-semibold'}>{value ?? 'not said yet'}</dd>
          </div>
        ))}
      </dl>
      <div className="mt-4 flex flex-wrap gap-3">
        <ButtonLink to={`/clients/${client.id}/edit`}>Change the file</ButtonLink>
        <ButtonLink to={`/clients/${client.id}/sharing`}>Who may see this, and erasing</ButtonLink>
      </div>
    </section>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function Screened({ client }: { client: ClientFile }) {
  const due = DUE[client.screeningDue];
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Screening</h2>
      <p className="mb-3">
        {client.screenedAt ? (
          <>
            Asked on {day(client.screenedAt)}, holds until{' '}
            {new Date(client.screeningValidUntil ?? client.screenedAt).toLocaleDateString()}.{' '}
          </>
        ) : null}
        {due && <strong className="text-warn">▲ {due}.</strong>}
      </p>
      <ButtonLink to={`/clients/${client.id}/screening`}>
        {client.screenedAt ? 'Ask again' : 'Ask the questions'}
      </ButtonLink>
    </section>
  );
}
