import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { api, ask } from '../../shared/api/client';

import { daysAgo, fixed } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';

const MB = 1_000_000;

function size(bytes: number): string {
  return `${fixed(bytes / MB, 1)} MB`;
}

function moment(instant: string): string {
  return new Date(instant).toLocaleString(undefined, { dateStyle: 'medium', timeStyle: 'short' });
}

/** Copies of the whole database on this machine: how old, how large, and one more now. */
export function Backups() {
  const queries = useQueryClient();
  const standing = useQuery({ queryKey: ['backups'], queryFn: () => ask(api.GET('/api/backups')) });
  const make = useMutation({
    mutationFn: () => ask(api.POST('/api/backups')),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['backups'] }),
  });
  const newest = standing.data?.newest;
  return (
    <section>
      <h2 className="text-xl font-bold">Backups</h2>
      <p className="mb-3 max-w-prose text-soft">
        Gradino copies its database once a day while it runs, and looks through each copy. Seven days, eight weeks and
        twelve months are kept on this machine: carry one elsewhere now and then. Putting one back is done on the
        machine itself, with <code>./gradino restore FILE</code>.
      </p>
      <Failure error={standing.error} />
      {standing.data?.warning && (
        <p role="alert" className="mb-3 border-l-4 border-warn bg-warn-paper p-3 text-warn">
          ▲ {standing.data.warning}
        </p>
      )}
      {standing.data && (
        <p className="mb-3 text-lg">
          {newest ? (
            <>
              The newest is from <strong>{daysAgo(newest.at)}</strong>, {size(newest.bytes)}.
            </>
          ) : (
            'None yet: the first is made a few minutes after the start.'
          )}
        </p>
      )}
      <Button disabled={make.isPending} onClick={() => make.mutate()}>
        {make.isPending ? 'Copying…' : 'Make one now'}
      </Button>
      <Failure error={make.error} />
      {make.isSuccess && (
        <p role="status" className="mt-2">
          Made and looked through: {make.data.file}
        </p>
      )}
      <ul className="mt-4 columns-1 sm:columns-2">
        {standing.data?.all.map((b) => (
          <li key={b.file} className="py-1 text-sm">
            {moment(b.at)} <span className="text-soft">{size(b.bytes)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
