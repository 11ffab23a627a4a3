import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../../shared/api/client';
import { daysAgo } from '../../shared/units';
import { Button } from '../../shared/ui/Button';

/** Short notes that clients sent from home. */
export function FromHome() {
  const queries = useQueryClient();
  const notes = useQuery({ queryKey: ['notes'], queryFn: () => ask(api.GET('/api/notes')) });
  const read = useMutation({
    mutationFn: (clientId: string) =>
      ask(api.POST('/api/clients/{clientId}/notes/read', { params: { path: { clientId } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['notes'] }),
  });
  if (!notes.data || notes.data.length === 0) return null;
  return (
    <aside aria-label="Notes from home" className="mb-6">
      <h2 className="mb-2 text-lg text-soft">From home</h2>
      {notes.data.map((n, i) => (
        <section key={i} className="mb-2 border border-rule bg-card p-3">
          <p>{n.text}</p>
          <p className="flex items-center gap-3 text-sm text-soft">
            <Link className="font-semibold text-ink hover:underline" to={`/clients/${n.clientId}`}>
              {n.clientName}
            </Link>
            {daysAgo(n.at)}
            <span className="grow" />
            <Button className="text-sm" onClick={() => read.mutate(n.clientId)}>
              Read
            </Button>
          </p>
        </section>
      ))}
    </aside>
  );
}
