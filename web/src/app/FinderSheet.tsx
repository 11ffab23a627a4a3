import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { api, ask } from '../shared/api/client';
import { useMethods } from '../shared/blocks/useForms';
import { found, type Place } from '../shared/finding';
import { Sheet } from '../shared/ui/Sheet';
import { useCatalogue } from '../shared/ui/useCatalogue';
import { DEEPER, FIRST, MORE, OF_A_CLIENT } from './pages';

export function FinderSheet(props: { owner: boolean; done: () => void }) {
  return (
    <Sheet open onOpenChange={props.done} title="Find">
      <Finding {...props} />
    </Sheet>
  );
}

function usePlaces(owner: boolean): Place[] {
  const { clientId } = useParams();
  const clients = useQuery({ queryKey: ['clients'], queryFn: () => ask(api.GET('/api/clients')) }).data;
  const positions = useCatalogue().data?.positions;
  const methods = useMethods().data;
  return useMemo(() => {
    const mine = clients ?? [];
    const here = mine.find((c) => c.id === clientId);
    return [
      ...mine.map((c) => ({
        kind: c.archivedAt ? 'Client, archived' : 'Client',
        name: c.name,
        also: c.goal,
        to: `/clients/${c.id}`,
      })),
      ...(here
        ? OF_A_CLIENT.map((p) => ({ kind: here.name, name: p.name, also: p.also, to: `/clients/${here.id}${p.to}` }))
        : []),
      ...[...FIRST, ...MORE, ...DEEPER].filter((p) => owner || !p.owner).map((p) => ({ kind: 'Page', ...p })),
      ...(positions ?? []).map((p) => ({
        kind: 'Position',
        name: p.name,
        to: `/library?find=${encodeURIComponent(p.name)}`,
      })),
      ...(methods ?? []).map((m) => ({
        kind: 'Method',
        name: m.method.name,
        also: m.method.summary,
        to: `/library#${m.method.id}`,
      })),
    ];
  }, [clients, clientId, positions, methods, owner]);
}

function Finding({ owner, done }: { owner: boolean; done: () => void }) {
  const places = usePlaces(owner);
  const navigate = useNavigate();
  const [typed, setTyped] = useState('');
  const [at, setAt] = useState(0);
  const hits = found(places, typed);
  const go = (place: Place | undefined) => {
    if (!place) return;
    done();
    void navigate(place.to);
  };
  return (
    <div
      onKeyDown={(event) => {
        const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
        if (by !== 0) setAt((old) => Math.min(hits.length - 1, Math.max(0, old + by)));
        else if (event.key === 'Enter') go(hits[at]);
        else return;
        event.preventDefault();
      }}
    >
      <input
        autoFocus
        role="combobox"
        aria-label="Client, page, position or method"
        aria-expanded={hits.length > 0}
        aria-controls="found"
        aria-activedescendant={hits[at] ? `found-${at}` : undefined}
        placeholder="Client, page, position or method"
        className="mb-2 block w-full border-b-2 border-ink bg-transparent py-1 text-xl outline-none placeholder:text-soft"
        value={typed}
        onChange={(event) => {
          setTyped(event.target.value);
          setAt(0);
        }}
      />
      {hits.length === 0 && <p className="py-2 text-soft">Nothing is called that. Try a part of the name.</p>}
      <ul id="found" role="listbox" aria-label="Found">
        {hits.map((place, i) => (
          <li
            key={place.kind + place.to}
            id={`found-${i}`}
            role="option"
            aria-selected={i === at}
            onClick={() => go(place)}
            onPointerMove={() => setAt(i)}
            className="flex cursor-pointer items-baseline justify-between gap-4 border-l-4 border-transparent px-3 py-2 aria-selected:border-ink aria-selected:bg-tread"
          >
            <span className="min-w-0 truncate">
              <strong>{place.name}</strong> <span className="text-sm text-soft">{place.also}</span>
            </span>
            <span className="shrink-0 text-sm text-soft">{place.kind}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}
