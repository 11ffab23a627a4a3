import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { words as plain } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { Sheet } from '../../../shared/ui/Sheet';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { FigureView } from '../../../shared/draw/FigureView';
import { useFigures } from '../../../shared/draw/useFigures';

type Entry = Schemas['LibraryEntry'];
type Props = {
  clientId: string;
  open: boolean;
  setOpen: (open: boolean) => void;
  choose: (entry: Entry, motion: string) => void;
  /** Lines of the client's program that are not in this session. */
  known: Schemas['CurrentLine'][];
  put: (line: Schemas['CurrentLine']) => void;
};

/** Positions to add: by words, by motion, by what the client owns; what is limited in this client comes first. */
export function LibrarySheet({ clientId, open, setOpen, choose, known, put }: Props) {
  const [words, setWords] = useState('');
  const [motion, setMotion] = useState('');
  const [owned, setOwned] = useState(false);
  const catalogue = useCatalogue();
  const figures = useFigures();
  const found = useQuery({
    queryKey: ['library', clientId, words, motion, owned],
    enabled: open,
    placeholderData: keepPreviousData,
    queryFn: () =>
      ask(
        api.GET('/api/clients/{clientId}/library', {
          params: { path: { clientId }, query: { words, motion, method: '', owned } },
        }),
      ),
  });
  return (
    <Sheet open={open} onOpenChange={setOpen} title="Add from the library">
      <div className="mb-4 flex flex-wrap items-end gap-4">
        <label className="grow text-sm text-soft">
          Search
          <input
            autoFocus
            className="mt-1 block w-full border-b-2 border-rule bg-transparent py-1 text-xl text-ink focus:border-ink"
            value={words}
            onChange={(e) => setWords(e.target.value)}
          />
        </label>
        <label className="text-sm text-soft">
          Motion
          <select
            className="mt-1 block min-h-11 border border-rule bg-card px-2 text-ink"
            value={motion}
            onChange={(e) => setMotion(e.target.value)}
          >
            <option value="">any</option>
            {catalogue.data?.motions.map((m) => (
              <option key={m.id} value={m.id}>
                {m.name}
              </option>
            ))}
          </select>
        </label>
        <label className="flex min-h-11 items-center gap-2">
          <input type="checkbox" checked={owned} onChange={(e) => setOwned(e.target.checked)} />
          only with what the client owns
        </label>
      </div>
      {known.length > 0 && (
        <div className="mb-4">
          <p className="mb-1 text-sm text-soft">Lines of the program, with the dose that they have:</p>
          <div className="flex flex-wrap gap-2">
            {known.map((l) => (
              <Button key={l.line.id} onClick={() => put(l)}>
                {plain(l.line.motion)} · {catalogue.data?.positions.find((p) => p.id === l.line.position)?.name}
              </Button>
            ))}
          </div>
        </div>
      )}
      <Failure error={found.error} />
      {found.data?.length === 0 && <p className="text-soft">Nothing fits. Fewer words, or another motion.</p>}
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3">
        {found.data?.map((entry) => {
          const figure = figures.data?.[entry.position.id];
          return (
            <li key={entry.position.id}>
              <button
                className="h-full w-full border border-rule p-2 text-left hover:bg-tread"
                onClick={() => choose(entry, motion || entry.wanted[0] || entry.position.motions[0] || '')}
              >
                {figure && <FigureView figure={figure} label="" className="h-24" />}
                <span className="block font-semibold">{entry.position.name}</span>
                <span className="block text-sm text-soft">{entry.position.motions.map(plain).join(', ')}</span>
                {entry.wanted.length > 0 && <span className="block text-sm font-semibold">limited here</span>}
              </button>
            </li>
          );
        })}
      </ul>
    </Sheet>
  );
}
