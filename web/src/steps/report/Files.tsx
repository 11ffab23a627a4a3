import { Button } from '../../shared/ui/Button';
import { MadeFiles } from '../../shared/ui/MadeFiles';
import { search, type Query } from './asked';

const FILES = [
  ['report.pdf', 'PDF, A4', 'paper=A4'],
  ['report.pdf', 'PDF, Letter', 'paper=LETTER'],
  ['report.csv', 'CSV', ''],
  ['report.json', 'JSON', ''],
  ['report-fhir.json', 'FHIR R4', ''],
] as const;

const WORKS = [...FILES.map(([file]) => file), 'archive'];

/** The same report as files. */
export function Files({ clientId, asked }: { clientId: string; asked: Query }) {
  const query = search(asked).toString();
  const to = (file: string, more = '') => `/api/clients/${clientId}/${file}?${query}${more && '&' + more}`;
  const look = 'inline-flex min-h-11 items-center border border-rule bg-card px-3 font-semibold hover:bg-tread';
  return (
    <section>
      <h3 className="mb-1 font-bold">Take it along</h3>
      <MadeFiles works={WORKS}>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => print()}>Print</Button>
          {FILES.map(([file, name, more]) => (
            <a key={name} className={look} href={to(file, more)} download>
              {name}
            </a>
          ))}
          <a className={look} href={`/api/clients/${clientId}/calendar.ics`} download>
            iCalendar of the weeks
          </a>
          <a className={look} href={`/api/clients/${clientId}/archive.zip`} download>
            Everything of this client
          </a>
        </div>
      </MadeFiles>
    </section>
  );
}
