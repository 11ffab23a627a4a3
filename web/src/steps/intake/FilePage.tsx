import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { DUE } from '../../shared/restrictions';
import { date, day, length } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { Archived } from './Archived';
import { Clearances } from './Clearances';
import { ofFile, type Details, type PartProps } from './file';
import { Equipment, Goal, History, Lengths, Name, Person, TimeInShort } from './FileParts';
import { GoalDegrees } from './GoalDegrees';
import { Pauses } from './Pauses';
import { Restrictions } from './Restrictions';

type ClientFile = Schemas['ClientFile'];

/** Everything written down about a client, each part with a Save of its own. */
export function FilePage() {
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
        <div className="grid gap-8 lg:grid-cols-2">
          <div className="space-y-5">
            <Parts client={client.data} />
          </div>
          <div className="space-y-8">
            <Screened client={client.data} />
            <Restrictions client={client.data} />
            <Clearances client={client.data} />
            <Pauses clientId={client.data.id} />
            <Archived client={client.data} />
          </div>
        </div>
      )}
    </>
  );
}

function Parts({ client }: { client: ClientFile }) {
  return (
    <>
      <Part client={client} name="Who">
        {(part) => (
          <>
            <Name {...part} />
            <Person {...part} />
          </>
        )}
      </Part>
      <Part client={client} name="Goal">
        {(part) => (
          <>
            <Goal {...part} />
            <GoalDegrees {...part} />
          </>
        )}
      </Part>
      <Part client={client} name="History">
        {(part) => <History {...part} />}
      </Part>
      <Part client={client} name="Equipment">
        {(part) => <Equipment {...part} />}
      </Part>
      <section aria-label="Time" className="space-y-2 border-t-2 border-ink pt-2">
        <div className="flex min-h-11 items-center justify-between gap-3">
          <h2 className="text-xl font-bold">Time</h2>
          <ButtonLink to={`/clients/${client.id}/calendar`}>Calendar</ButtonLink>
        </div>
        <TimeInShort clientId={client.id} />
      </section>
      <Part client={client} name="Lengths and weight">
        {(part) => (
          <>
            <Lengths {...part} />
            <Known client={client} />
          </>
        )}
      </Part>
    </>
  );
}

type PartOf = { client: ClientFile; name: string; children: (part: PartProps) => ReactNode };

/** Holds what was changed here until it is saved, over what is on file. */
function Part({ client, name, children }: PartOf) {
  const queries = useQueryClient();
  const [changed, setChanged] = useState<Partial<Details>>({});
  const details = { ...client.details, ...changed };
  const save = useMutation({
    mutationFn: async () => {
      const at = { params: { path: { clientId: client.id } } };
      // Over what is on file by now: the calendar, or somebody else, may have changed the other parts meanwhile.
      const now = await ask(api.GET('/api/clients/{clientId}', at));
      return ask(api.PUT('/api/clients/{clientId}/details', { ...at, body: { ...now.details, ...changed } }));
    },
    onSuccess: async (file) => {
      queries.setQueryData(['client', client.id], file);
      setChanged({});
      await queries.invalidateQueries();
    },
  });
  const findings = ofFile(findingsOf(save.error));
  const dirty = Object.keys(changed).length > 0;
  return (
    <form
      aria-label={name}
      className="space-y-4 border-t-2 border-ink pt-2"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <div className="flex min-h-11 items-center justify-between gap-3">
        <h2 className="text-xl font-bold">{name}</h2>
        {dirty ? (
          <span className="flex gap-2">
            <Button onClick={() => setChanged({})}>Cancel</Button>
            <Button look="main" type="submit" disabled={save.isPending}>
              Save
            </Button>
          </span>
        ) : (
          save.isSuccess && (
            <span role="status" className="text-sm text-soft">
              Saved
            </span>
          )
        )}
      </div>
      {children({ details, set: (part) => setChanged((old) => ({ ...old, ...part })), findings })}
      <Failure error={findings.length > 0 ? null : save.error} />
    </form>
  );
}

/** What the formulas take, measured or from stature. */
function Known({ client }: { client: ClientFile }) {
  if (client.lengths.length === 0) return null;
  return (
    <p className="text-sm text-soft">
      In use:{' '}
      {client.lengths
        .map(
          (l) => `${l.words} ${length(l.cm)} ± ${length(2 * l.uncertaintyCm)}${l.fromStature ? ' (from stature)' : ''}`,
        )
        .join(' · ')}
    </p>
  );
}

function Screened({ client }: { client: ClientFile }) {
  const due = DUE[client.screeningDue];
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Screening</h2>
      <p className="mb-3">
        {client.screenedAt ? (
          <>
            Asked on {day(client.screenedAt)}, holds until {date(client.screeningValidUntil ?? client.screenedAt)}.{' '}
          </>
        ) : null}
        {due && <strong className="text-warn">▲ {due}.</strong>}
      </p>
      {client.beighton !== undefined && (
        <p className="mb-3">
          Beighton score {client.beighton} of 9{client.hypermobile ? ', very mobile joints' : ''}.
        </p>
      )}
      <ButtonLink to={`/clients/${client.id}/screening`}>
        {client.screenedAt ? 'Ask again' : 'Ask the questions'}
      </ButtonLink>
    </section>
  );
}
