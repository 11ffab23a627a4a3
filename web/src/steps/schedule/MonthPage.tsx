import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { addMonths, format } from 'date-fns';
import { api, ask, newId, type Schemas } from '../../shared/api/client';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { Failure } from '../../shared/ui/Findings';
import { Sheet } from '../../shared/ui/Sheet';
import { AppointmentForm, NEW_MINUTES } from './AppointmentForm';
import { Feeds } from './Feeds';
import { StudioHours } from './StudioHours';
import { VisitSheet } from './VisitSheet';
import { DAY_NAMES, local } from './days';

type Month = Schemas['Month'];
type Visit = Schemas['Visit'];

/** Who comes when, who trains on their own, and where two meet. */
export function MonthPage() {
  const { month = format(new Date(), 'yyyy-MM') } = useParams();
  const found = useQuery({
    queryKey: ['month', month],
    queryFn: () => ask(api.GET('/api/months/{month}', { params: { path: { month } } })),
  });
  const first = local(`${month}-01`);
  const to = (n: number) => `/month/${format(addMonths(first, n), 'yyyy-MM')}`;
  return (
    <>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h1 className="mr-auto text-3xl font-bold">
          {first.toLocaleDateString(undefined, { month: 'long', year: 'numeric' })}
        </h1>
        <ButtonLink to={to(-1)}>Month before</ButtonLink>
        <ButtonLink to={to(1)}>Month after</ButtonLink>
      </div>
      <Failure error={found.error} />
      {found.data && <Days month={found.data} />}
      <div className="mt-6 grid max-w-5xl gap-8 lg:grid-cols-2">
        {found.data && <StudioHours hours={found.data.hours} />}
        <Feeds words="Your appointments for your own calendar program. The address is secret; it shows the clients’ names." />
      </div>
    </>
  );
}

function Days({ month }: { month: Month }) {
  const [added, setAdded] = useState<Schemas['MonthDay'] | null>(null);
  const [opened, setOpened] = useState<Visit | null>(null);
  return (
    <>
      <div className="hidden grid-cols-7 text-sm text-soft md:grid" aria-hidden>
        {DAY_NAMES.map((d) => (
          <span key={d} className="px-1.5">
            {d}
          </span>
        ))}
      </div>
      <ol className="grid border-l border-rule md:grid-cols-7">
        {month.days.map((d) => (
          <Day key={d.date} day={d} month={month} add={() => setAdded(d)} open={setOpened} />
        ))}
      </ol>
      {added && <AddSheet day={added} month={month} close={() => setAdded(null)} />}
      {opened && <VisitSheet visit={opened} close={() => setOpened(null)} />}
    </>
  );
}

type DayProps = { day: Schemas['MonthDay']; month: Month; add: () => void; open: (visit: Visit) => void };

function Day({ day, month, add, open }: DayProps) {
  const today = day.date === month.today;
  const inside = day.date.startsWith(month.month);
  const date = local(day.date);
  // A phone begins with today.
  const gone = day.date < month.today && month.today.startsWith(month.month);
  return (
    <li
      className={`min-h-24 border-t-4 border-r border-r-rule px-1.5 pb-1 ${today ? 'border-t-ink' : 'border-t-rule'} ${
        inside ? 'bg-card' : 'bg-tread'
      } ${gone || (!inside && day.visits.length === 0) ? 'max-md:hidden' : ''}`}
    >
      <div className="flex items-baseline justify-between">
        <span className={today ? 'font-bold' : 'text-soft'}>
          <span className="md:hidden">{date.toLocaleDateString(undefined, { weekday: 'short' })} </span>
          {date.getDate()}
        </span>
        <button
          className="min-h-8 px-2 text-soft hover:text-ink"
          aria-label={`Add an appointment on ${date.toLocaleDateString()}`}
          onClick={add}
        >
          +
        </button>
      </div>
      <ul className="space-y-1">
        {day.visits.map((v) => (
          <li key={v.appointmentId + v.of}>
            <button
              className={`block w-full border-l-4 bg-paper px-1.5 py-1 text-left text-sm leading-tight hover:bg-tread ${
                v.conflicts.length > 0 ? 'border-warn text-warn' : 'border-ink'
              }`}
              onClick={() => open(v)}
            >
              <strong>{v.start.slice(11, 16)}</strong> {v.name}
              {v.conflicts.map((c) => (
                <span key={c} className="block">
                  ▲ {c}
                </span>
              ))}
            </button>
          </li>
        ))}
      </ul>
      {day.retests.length > 0 && (
        <p className="mt-1 text-xs font-semibold">Re-test: {day.retests.map((t) => t.name.split(' ')[0]).join(', ')}</p>
      )}
      {day.free.length > 0 && (
        <p className="mt-1 text-xs">
          Free: {day.free.map((s) => `${s.from.slice(0, 5)}–${s.until.slice(0, 5)}`).join(', ')}
        </p>
      )}
      {day.alone.length > 0 && (
        <p className="mt-1 text-xs text-soft">On their own: {day.alone.map((t) => t.name.split(' ')[0]).join(', ')}</p>
      )}
    </li>
  );
}

function AddSheet({ day, month, close }: { day: Schemas['MonthDay']; month: Month; close: () => void }) {
  const start = `${day.date}T${day.free[0]?.from ?? '10:00:00'}`;
  const [clientId, setClientId] = useState(month.clients[0]?.id ?? '');
  const [id] = useState(newId);
  return (
    <Sheet open onOpenChange={(open) => !open && close()} title="New appointment">
      {month.clients.length === 0 ? (
        <p>
          No client yet: begin with{' '}
          <Link className="underline" to="/clients/new">
            New client
          </Link>
          .
        </p>
      ) : (
        <>
          <label className="mb-3 block text-sm text-soft">
            Client
            <select
              className="block min-h-11 w-full border-b-2 border-rule bg-card py-1.5 text-lg text-ink outline-none focus:border-ink"
              value={clientId}
              onChange={(e) => setClientId(e.target.value)}
            >
              {month.clients.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          </label>
          <AppointmentForm
            clientId={clientId}
            id={id}
            appointment={{ start, minutes: NEW_MINUTES, everyWeeks: 0, changes: [], note: '' }}
            close={close}
          />
        </>
      )}
    </Sheet>
  );
}
