import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { DateField } from '../../shared/ui/DateField';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';
import { local, mondayOf } from './days';
import { type Calendar } from '../../shared/useCalendar';
import { useKeep } from './useKeep';

type Block = Schemas['Block'];

/** Four to twelve weeks that end with a re-test. */
export function BlockForm({ clientId, calendar }: { clientId: string; calendar: Calendar }) {
  const batteries = useQuery({
    queryKey: ['batteries', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/batteries', { params: { path: { clientId } } })),
  });
  const [b, setB] = useState<Block>(calendar.block ?? { start: mondayOf(local(calendar.today)), weeks: 6 });
  const set = (change: Partial<Block>) => setB({ ...b, ...change });
  const keep = useKeep((body: Block) =>
    ask(api.PUT('/api/clients/{clientId}/calendar/block', { params: { path: { clientId } }, body })),
  );
  const remove = useKeep(() =>
    ask(api.DELETE('/api/clients/{clientId}/calendar/block', { params: { path: { clientId } } })),
  );
  const findings = findingsOf(keep.error);
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">Block of weeks</h3>
      <p className="mb-2 text-sm text-soft">
        Four to twelve weeks. In the last one each line is done once at most, and the battery is measured first, cold.
      </p>
      <div className="grid gap-3 sm:grid-cols-3">
        <DateField
          label="First Monday"
          value={b.start}
          onChange={(v) => v && set({ start: v })}
          path="start"
          findings={findings}
        />
        <NumberField
          label="Weeks"
          value={b.weeks}
          onChange={(v) => set({ weeks: Math.round(v ?? 0) })}
          path="weeks"
          findings={findings}
        />
        <label className="block text-sm text-soft">
          Measured again
          <select
            className="block min-h-11 w-full border-b-2 border-rule bg-paper py-1.5 text-base text-ink outline-none focus:border-ink"
            value={b.batteryId ?? ''}
            onChange={(e) => set({ batteryId: e.target.value || undefined })}
          >
            <option value="">nothing</option>
            {batteries.data?.map(({ battery: x }) => (
              <option key={x.id} value={x.id}>
                {x.name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <Failure error={findings.length > 0 ? null : (keep.error ?? remove.error)} />
      <OtherFindings findings={findings} shown={(p) => ['start', 'weeks'].includes(p)} />
      <div className="mt-3 flex gap-3">
        <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate(b)}>
          {calendar.block ? 'Save the block' : 'Start the block'}
        </Button>
        {calendar.block && (
          <Button disabled={remove.isPending} onClick={() => remove.mutate(undefined)}>
            Remove the block
          </Button>
        )}
      </div>
    </section>
  );
}
