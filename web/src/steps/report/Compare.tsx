import { useQuery } from '@tanstack/react-query';
import { useId, useState } from 'react';
import { api, ask, type Schemas } from '../../shared/api/client';
import { SectionView } from '../../shared/report/ToldView';
import { Failure } from '../../shared/ui/Findings';

type Period = Schemas['Period'];

/** Two blocks of weeks beside each other. */
export function Compare({ clientId, blocks }: { clientId: string; blocks: Period[] }) {
  const [chosen, setChosen] = useState<[number, number] | null>(null);
  if (blocks.length < 2) return null;
  const last = blocks.length - 1;
  return (
    <section className="no-print mt-8 border-t-2 border-ink pt-2">
      <h3 className="text-xl font-bold">Compare two blocks of weeks</h3>
      <div className="flex flex-wrap gap-4">
        <Pick
          label="First"
          value={chosen?.[0] ?? null}
          blocks={blocks}
          onChange={(n) => setChosen([n, chosen?.[1] ?? last])}
        />
        <Pick
          label="Second"
          value={chosen?.[1] ?? null}
          blocks={blocks}
          onChange={(n) => setChosen([chosen?.[0] ?? 0, n])}
        />
      </div>
      {chosen && <Both clientId={clientId} first={blocks[chosen[0]]} second={blocks[chosen[1]]} />}
    </section>
  );
}

type PickProps = { label: string; value: number | null; blocks: Period[]; onChange: (n: number) => void };

function Pick({ label, value, blocks, onChange }: PickProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      <select
        id={id}
        className="mt-1 block min-h-11 border border-rule bg-card px-2 text-base text-ink"
        value={value ?? ''}
        onChange={(e) => onChange(Number(e.target.value))}
      >
        {value === null && <option value="">Pick a block</option>}
        {blocks.map((b, n) => (
          <option key={b.from} value={n}>
            {new Date(b.from).toLocaleDateString()} to {new Date(b.to).toLocaleDateString()}
          </option>
        ))}
      </select>
    </div>
  );
}

type BothProps = { clientId: string; first: Period | undefined; second: Period | undefined };

function Both({ clientId, first, second }: BothProps) {
  const compared = useQuery({
    queryKey: ['report-comparison', clientId, first, second],
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/report/comparison', {
          params: {
            path: { clientId },
            query: {
              firstFrom: first?.from ?? '',
              firstTo: first?.to ?? '',
              secondFrom: second?.from ?? '',
              secondTo: second?.to ?? '',
            },
          },
        }),
      ),
  });
  return (
    <>
      <Failure error={compared.error} />
      {compared.data && <SectionView section={compared.data} />}
    </>
  );
}
