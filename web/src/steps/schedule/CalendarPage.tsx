import { useParams } from 'react-router';
import { ButtonLink } from '../../shared/ui/ButtonLink';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { Appointments } from './Appointments';
import { BlockForm } from './BlockForm';
import { BusyTimes } from './BusyTimes';
import { Dates } from './Dates';
import { Feeds } from './Feeds';
import { UsualWeek } from './UsualWeek';
import { shortDate } from './days';
import { useCalendar, type Calendar } from '../../shared/useCalendar';

/** When a client can train: all of it on one page. */
export function CalendarPage() {
  const { clientId = '' } = useParams();
  const calendar = useCalendar(clientId);
  return (
    <>
      <ClientHead clientId={clientId} />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 className="mr-auto text-2xl font-bold">Calendar</h2>
        <ButtonLink to={`/clients/${clientId}/week`}>Week</ButtonLink>
        <ButtonLink to="/month">Month of the studio</ButtonLink>
      </div>
      <Failure error={calendar.error} />
      {calendar.data && (
        <div className="grid gap-8 lg:grid-cols-2">
          <div className="space-y-8">
            <UsualWeek clientId={clientId} calendar={calendar.data} />
            <BlockForm clientId={clientId} calendar={calendar.data} />
          </div>
          <div className="space-y-8">
            <Dates clientId={clientId} calendar={calendar.data} />
            <Paused clientId={clientId} calendar={calendar.data} />
            <Appointments clientId={clientId} calendar={calendar.data} />
            <BusyTimes clientId={clientId} calendar={calendar.data} />
            <Feeds
              clientId={clientId}
              words="The week for the client’s own calendar program. The address is secret: whoever has it sees the days."
            />
          </div>
        </div>
      )}
    </>
  );
}

/** They are entered on the client's file, where illness is told. */
function Paused({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Pauses</h3>
      {calendar.pauses.length === 0 && <p className="mb-2 text-soft">None: illness or time away goes on the file.</p>}
      <ul className="mb-2">
        {calendar.pauses.map((p) => (
          <li key={p.id} className="border-t border-rule py-1">
            {shortDate(p.from)} {p.until ? `until ${shortDate(p.until)}` : 'and still'} {p.note}
          </li>
        ))}
      </ul>
      <ButtonLink to={`/clients/${clientId}/file`}>To the file</ButtonLink>
    </section>
  );
}
