import { useInfiniteQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api, ask } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';

const PAGE = 100;

/** The last part of an address that says something: /api/clients/{clientId}/ranges is about ranges. */
function about(what: string): string {
  const parts = what.split('/').filter((p) => p !== '' && p !== 'api' && p !== 'preview' && !p.startsWith('{'));
  return (parts[parts.length - 1] ?? what).replaceAll('-', ' ');
}

export function Audit() {
  const audit = useInfiniteQuery({
    queryKey: ['audit'],
    initialPageParam: undefined as number | undefined,
    queryFn: ({ pageParam }) => ask(api.GET('/api/audit', { params: { query: { before: pageParam } } })),
    getNextPageParam: (page) => (page.length < PAGE ? undefined : page[page.length - 1]?.id),
  });
  const entries = audit.data?.pages.flat() ?? [];
  return (
    <section>
      <h2 className="mb-2 text-xl font-bold">Who saw and changed what</h2>
      <Failure error={audit.error} />
      {audit.data && entries.length === 0 && <p className="text-soft">Nothing yet: it fills as the studio works.</p>}
      <ul>
        {entries.map((e) => (
          <li key={e.id} className="border-t border-rule py-2">
            <span className="text-sm text-soft">{new Date(e.at).toLocaleString()}</span>
            <p>
              <strong>{e.account}</strong> {e.action === 'SAW' ? 'saw' : 'changed'} {about(e.what)}
              {e.clientId && (
                <>
                  {' '}
                  of{' '}
                  <Link className="underline" to={`/clients/${e.clientId}`}>
                    {e.clientName ?? 'a client who is gone'}
                  </Link>
                </>
              )}
            </p>
          </li>
        ))}
      </ul>
      {audit.hasNextPage && <Button onClick={() => void audit.fetchNextPage()}>Earlier</Button>}
    </section>
  );
}
