import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useParams } from 'react-router';
import { api, ask } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { ClientHead } from '../../shared/ui/ClientHead';
import { Failure } from '../../shared/ui/Findings';
import { EndedLinks } from './EndedLinks';
import { Erase } from './Erase';
import { ROLE, useSignInState } from './signInState';

/** Which colleagues may see this client. */
export function SharingPage() {
  const { clientId = '' } = useParams();
  const queries = useQueryClient();
  const me = useSignInState().data?.me;
  const colleagues = useQuery({ queryKey: ['colleagues'], queryFn: () => ask(api.GET('/api/colleagues')) });
  const path = { clientId };
  const grants = useQuery({
    queryKey: ['sharing', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}/sharing', { params: { path } })),
  });
  const client = useQuery({
    queryKey: ['client', clientId],
    queryFn: () => ask(api.GET('/api/clients/{clientId}', { params: { path } })),
  });
  const share = useMutation({
    mutationFn: ({ accountId, on }: { accountId: string; on: boolean }) =>
      ask(
        api.PUT('/api/clients/{clientId}/sharing/{accountId}', {
          params: { path: { clientId, accountId } },
          body: { on },
        }),
      ),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['sharing', clientId] }),
  });
  const kind = (accountId: string) => grants.data?.find((g) => g.accountId === accountId)?.kind;
  const mine = me?.role === 'OWNER' || (me !== undefined && kind(me.id) === 'OWN');
  return (
    <>
      <ClientHead clientId={clientId} tread="meet" />
      <h2 className="mb-2 text-xl font-bold">Who may see this client</h2>
      <p className="mb-4 max-w-prose text-soft">
        Owners see every client. A coach with whom a client is shared may measure, plan and run sessions; an assistant
        only reads.
      </p>
      <Failure error={colleagues.error ?? grants.error ?? share.error} />
      {colleagues.data?.length === 0 && (
        <p>Nobody else is here yet: the owner adds colleagues under Studio, Accounts.</p>
      )}
      <ul className="max-w-xl">
        {grants.data &&
          colleagues.data?.map((c) => (
            <li key={c.id} className="flex items-center gap-3 border-t border-rule py-3">
              <span className="grow">
                <strong>{c.name}</strong> ({c.signIn}), {ROLE[c.role]}
                <span className="block text-sm text-soft">
                  {kind(c.id) === 'OWN'
                    ? 'their coach'
                    : kind(c.id) === 'SHARED'
                      ? 'sees this client'
                      : 'does not see this client'}
                </span>
              </span>
              {mine && kind(c.id) !== 'OWN' && (
                <Button onClick={() => share.mutate({ accountId: c.id, on: kind(c.id) !== 'SHARED' })}>
                  {kind(c.id) === 'SHARED' ? 'No longer share' : 'Share'}
                </Button>
              )}
            </li>
          ))}
      </ul>
      <EndedLinks ended={share.data?.ended} />
      {me?.role === 'OWNER' && client.data && (
        <section className="mt-10">
          <h2 className="mb-2 text-xl font-bold">When somebody wants to be forgotten</h2>
          <Erase client={client.data} />
        </section>
      )}
    </>
  );
}
