import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { api, ask } from '../../../shared/api/client';
import { weekday } from '../../../shared/units';
import type { Draft } from './edit';

const SETTLED_MS = 600;

/** On which days of a whole week a session that is not saved yet would be done. */
export function WeekSketch({ clientId, draft }: { clientId: string; draft: Draft }) {
  const settled = useSettled(draft);
  const week = useQuery({
    queryKey: ['week-sketch', clientId, settled],
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(api.POST('/api/clients/{clientId}/weeks/sketch', { params: { path: { clientId } }, body: settled })),
  });
  if (!week.data || draft.stations.length === 0) return null;
  const { days, leftOut } = week.data;
  return (
    <section className="mb-3" aria-label="In the week">
      <p>
        <strong>In the week:</strong>{' '}
        {days.length === 0
          ? 'There is no day for it.'
          : days.map((d) => `${weekday(d.date)} ${d.minutes} min`).join(' · ')}
      </p>
      {leftOut.map((l) => (
        <p key={l} className="text-sm text-warn first-letter:uppercase">
          ▲ {l}
        </p>
      ))}
    </section>
  );
}

/** Not asked for while somebody drags or types. */
function useSettled(draft: Draft): Draft {
  const [settled, settle] = useState(draft);
  useEffect(() => {
    const timer = setTimeout(() => settle(draft), SETTLED_MS);
    return () => clearTimeout(timer);
  }, [draft]);
  return settled;
}
