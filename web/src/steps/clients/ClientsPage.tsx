import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { daysAgo, day, words } from '../../shared/units';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Choice } from '../../shared/ui/Choice';
import { Failure } from '../../shared/ui/Findings';
import { Flags, Planned } from '../../shared/client/Flags';
import { next } from '../../shared/client/next';
import { NEEDS, ordered, type Order } from './order';

type ClientDay = Schemas['ClientDay'];

/** As many as anybody reads without typing. */
const SHOWN = 60;

/** Everyone the coach may see, found by typing, with what each needs next. */
export function ClientsPage() {
  const [search, setSearch] = useSearchParams();
  const archive = search.has('archive');
  return (
    <>
      <header className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <h1 className="text-3xl font-bold">Clients</h1>
        <div className="flex flex-wrap items-end gap-3">
          <Choice
            label="Show"
            value={archive ? 'archive' : 'present'}
            onChange={(which) => setSearch(which === 'archive' ? { archive: '' } : {}, { replace: true })}
            options={[
              ['present', 'Current'],
              ['archive', 'Archive'],
            ]}
          />
          <ButtonLink to="/clients/new">New client</ButtonLink>
        </div>
      </header>
      {archive ? <Archive /> : <Present />}
    </>
  );
}

function Present() {
  const today = useQuery({ queryKey: ['today'], queryFn: () => ask(api.GET('/api/today')) });
  const [typed, setTyped] = useState('');
  const [order, setOrder] = useState<Order>('need');
  const [all, setAll] = useState(false);
  if (!today.data) return today.error ? <Failure error={today.error} /> : <p className="text-soft">One moment…</p>;
  const clients = today.data.clients;
  const hits = ordered(clients, typed, order);
  return (
    <>
      <div className="mb-3 flex flex-wrap items-end gap-x-6 gap-y-2">
        <Typed typed={typed} setTyped={setTyped} />
        <Choice
          label="Sort by"
          value={order}
          onChange={setOrder}
          options={[
            ['need', 'Need'],
            ['due', 'Next day'],
            ['name', 'Name'],
          ]}
        />
      </div>
      {clients.length === 0 && <p>No client yet. Begin with New client: a name and a goal are enough.</p>}
      {clients.length > 0 && hits.length === 0 && <p className="text-soft">Nobody fits. Try fewer letters.</p>}
      <ul aria-label="Clients">
        {hits.slice(0, all ? undefined : SHOWN).map((client) => (
          <Row key={client.id} client={client} />
        ))}
      </ul>
      {!all && hits.length > SHOWN && (
        <p className="mt-3">
          {hits.length - SHOWN} more: type a part of the name, or{' '}
          <button className="font-semibold underline" onClick={() => setAll(true)}>
            show all
          </button>
          .
        </p>
      )}
    </>
  );
}

function Typed({ typed, setTyped }: { typed: string; setTyped: (typed: string) => void }) {
  return (
    <label className="block grow basis-60 text-sm text-soft">
      Search by name, goal or motion
      <input
        autoFocus={!matchMedia('(pointer: coarse)').matches}
        className="block w-full border-b-2 border-rule bg-transparent py-1 text-xl text-ink outline-none focus:border-ink"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
    </label>
  );
}

function Row({ client }: { client: ClientDay }) {
  const [to, label] = next(client);
  const motions = [...new Set(client.lines.map((l) => words(l.motion)))];
  return (
    <li className="grid items-center gap-x-5 gap-y-1 border-t border-rule py-2 [contain-intrinsic-size:auto_4rem] [content-visibility:auto] sm:grid-cols-[minmax(0,1.2fr)_minmax(0,1fr)_auto]">
      <div className="min-w-0">
        <Link to={`/clients/${client.id}`} className="text-lg font-bold hover:underline">
          {client.name}
        </Link>
        <p className="truncate text-sm text-soft">{client.goal}</p>
        <Flags client={client} />
      </div>
      <div className="text-sm">
        <p className="font-semibold">{NEEDS[client.state]}</p>
        <Planned plan={client.plan} />
        <p className="text-soft">
          {motions.length > 0 ? motions.join(', ') : `measured: ${daysAgo(client.lastMeasured)}`}
        </p>
      </div>
      <Link
        to={to}
        className="min-h-11 border border-rule bg-card px-4 py-2 text-center font-semibold hover:bg-tread"
        aria-label={`${label}: ${client.name}`}
      >
        {label}
      </Link>
    </li>
  );
}

function Archive() {
  const clients = useQuery({ queryKey: ['clients'], queryFn: () => ask(api.GET('/api/clients')) });
  if (!clients.data) return <Failure error={clients.error} />;
  const gone = clients.data.filter((c) => c.archivedAt);
  return (
    <>
      <p className="mb-3 max-w-prose text-soft">
        Those who left, with all that was recorded. A client is moved here from the file, and comes back from there.
      </p>
      {gone.length === 0 && <p>Nobody is in the archive.</p>}
      <ul aria-label="Archive">
        {gone.map((c) => (
          <li key={c.id} className="border-t border-rule py-2">
            <Link to={`/clients/${c.id}`} className="text-lg font-bold hover:underline">
              {c.name}
            </Link>{' '}
            <span className="text-soft">
              left on {day(c.archivedAt ?? '')} · {c.goal}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}
