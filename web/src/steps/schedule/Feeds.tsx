import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, newId } from '../../shared/api/client';
import { day } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { useKeep } from './useKeep';

type Props = { clientId?: string; words: string };

/** Secret addresses for calendar programs, and the file to download. Without a client: the coach's own appointments. */
export function Feeds({ clientId, words }: Props) {
  const feeds = useQuery({
    queryKey: ['feeds', clientId ?? 'me'],
    queryFn: () =>
      clientId
        ? ask(api.GET('/api/clients/{clientId}/feeds', { params: { path: { clientId } } }))
        : ask(api.GET('/api/me/feeds')),
  });
  const [address, setAddress] = useState<string | null>(null);
  const make = useKeep(async () => {
    const body = { id: newId() };
    const made = clientId
      ? await ask(api.POST('/api/clients/{clientId}/feeds', { params: { path: { clientId } }, body }))
      : await ask(api.POST('/api/me/feeds', { body }));
    setAddress(location.origin + made.address);
  });
  const end = useKeep((feedId: string) =>
    clientId
      ? ask(api.DELETE('/api/clients/{clientId}/feeds/{feedId}', { params: { path: { clientId, feedId } } }))
      : ask(api.DELETE('/api/me/feeds/{feedId}', { params: { path: { feedId } } })),
  );
  return (
    <section>
      <h3 className="mb-1 text-xl font-bold">For a calendar program</h3>
      <p className="mb-2 text-soft">{words}</p>
      <ul className="mb-2">
        {feeds.data?.map((f) => (
          <li key={f.id} className="flex items-center gap-3 border-t border-rule py-1">
            <span className="grow">Link made on {day(f.madeAt)}</span>
            <Button className="text-sm" onClick={() => end.mutate(f.id)}>
              End the link
            </Button>
          </li>
        ))}
      </ul>
      {address && (
        <p className="mb-2 border-l-4 border-ink bg-card p-2 break-all">
          Copy it now, it is shown only once: <strong>{address}</strong>
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        <Button disabled={make.isPending} onClick={() => make.mutate(undefined)}>
          Make a link
        </Button>
        {clientId && (
          <a
            className="inline-flex min-h-11 items-center border border-rule bg-card px-4 py-2 font-semibold hover:bg-tread"
            href={`/api/clients/${clientId}/calendar.ics`}
            download
          >
            Download the file
          </a>
        )}
      </div>
      <Failure error={feeds.error ?? make.error ?? end.error} />
    </section>
  );
}
