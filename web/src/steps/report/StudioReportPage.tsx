import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { formatISO, subWeeks } from 'date-fns';
import { useSearchParams } from 'react-router';
import { api, ask, findingsOf } from '../../shared/api/client';
import { ToldView } from '../../shared/report/ToldView';
import { Button } from '../../shared/ui/Button';
import { DateField } from '../../shared/ui/DateField';
import { Failure } from '../../shared/ui/Findings';

const USUAL_WEEKS = 26;
const iso = (date: Date) => formatISO(date, { representation: 'date' });

/** What the work came to, over all clients that one may see. */
export function StudioReportPage() {
  const [params, setParams] = useSearchParams();
  const from = params.get('from') ?? iso(subWeeks(new Date(), USUAL_WEEKS));
  const to = params.get('to') ?? iso(new Date());
  const report = useQuery({
    queryKey: ['studio-report', from, to],
    queryFn: () => ask(api.GET('/api/studio-report', { params: { query: { from, to } } })),
    placeholderData: keepPreviousData,
  });
  const findings = findingsOf(report.error);
  const set = (name: string) => (day: string | undefined) =>
    day && setParams({ from, to, [name]: day }, { replace: true });
  return (
    <>
      <div className="no-print mb-4 flex flex-wrap items-end gap-4">
        <DateField label="First day" value={from} onChange={set('from')} path="from" findings={findings} />
        <DateField label="Last day" value={to} onChange={set('to')} path="to" findings={findings} />
        <Button onClick={() => print()}>Print</Button>
      </div>
      <Failure error={findings.length > 0 ? null : report.error} />
      {report.isPending && <p className="text-soft">Working it out…</p>}
      {report.data && <ToldView told={report.data} />}
    </>
  );
}
