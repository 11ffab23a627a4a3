import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api, ask, findingsOf, newId } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure, OtherFindings } from '../../../shared/ui/Findings';
import { useDebounced } from '../../../shared/ui/useDebounced';
import { Mannequin } from './Mannequin';
import { blank, copyOf, type Own } from './own';
import { PositionForm } from './PositionForm';

/** What a new one is posed from. */
const STANDING = 'standing-trunk';

/** A studio's own position, or a copy of one that ships. */
export function PositionPage() {
  const { positionId = '' } = useParams();
  const start = useQuery({
    queryKey: ['own-position', positionId],
    staleTime: Infinity,
    queryFn: async () => {
      const isNew = positionId === 'new';
      const one = { params: { path: { positionId: isNew ? STANDING : positionId } } };
      const [own, ours] = await Promise.all([
        ask(api.GET('/api/own-positions/{positionId}', one)),
        ask(api.GET('/api/own-positions')),
      ]);
      if (isNew) return { own: blank(own, newId()), isOurs: false };
      const isOurs = ours.some((o) => o.position.id === positionId);
      return { own: isOurs ? own : copyOf(own, newId()), isOurs };
    },
  });
  return (
    <>
      <p className="mb-2">
        <Link className="font-semibold underline" to="/library">
          Library
        </Link>
      </p>
      <Failure error={start.error} />
      {start.data && <Editor key={positionId} start={start.data.own} isOurs={start.data.isOurs} />}
    </>
  );
}

function useSaved(id: string) {
  const queries = useQueryClient();
  const go = useNavigate();
  return async (words: string) => {
    await Promise.all(['library', 'figures', 'catalogue'].map((key) => queries.invalidateQueries({ queryKey: [key] })));
    queries.removeQueries({ queryKey: ['own-position', id] });
    await go(`/library?find=${encodeURIComponent(words)}`);
  };
}

function Editor({ start, isOurs }: { start: Own; isOurs: boolean }) {
  const [own, setOwn] = useState(start);
  const { id } = own.position;
  const rested = useDebounced(own, 250);
  const tried = useQuery({
    queryKey: ['tried', rested],
    gcTime: 10_000,
    placeholderData: keepPreviousData,
    queryFn: () => ask(api.POST('/api/own-positions/try', { body: rested })),
  });
  const saved = useSaved(id);
  const path = { params: { path: { positionId: id } } };
  const save = useMutation({
    mutationFn: () => ask(api.PUT('/api/own-positions/{positionId}', { ...path, body: own })),
    onSuccess: () => saved(own.position.name),
  });
  const remove = useMutation({
    mutationFn: () => ask(api.DELETE('/api/own-positions/{positionId}', path)),
    onSuccess: () => saved(''),
  });
  // What is not typed yet is no fault before it is to be saved.
  const all = tried.data?.findings ?? [];
  const findings = save.isError ? all : all.filter((f) => f.path.startsWith('pose'));
  return (
    <>
      <div className="mb-4 flex flex-wrap items-center justify-between gap-3">
        <h1 className="text-3xl font-bold">{own.position.name || 'A position of ours'}</h1>
        <div className="flex flex-wrap gap-2">
          {isOurs && (
            <>
              <a
                className="content-center px-2 font-semibold underline"
                href={`/api/own-positions/file?id=${id}`}
                download="positions.json"
              >
                Export
              </a>
              <Button look="stop" onClick={() => remove.mutate()}>
                Remove
              </Button>
            </>
          )}
          <Button look="main" disabled={save.isPending} onClick={() => save.mutate()}>
            Save
          </Button>
        </div>
      </div>
      <Failure error={remove.error ?? (findingsOf(save.error).length > 0 ? null : save.error)} />
      <OtherFindings findings={findingsOf(remove.error)} shown={() => false} />
      <div className="grid gap-8 lg:grid-cols-2">
        <div className="lg:sticky lg:top-4 lg:self-start">
          <Mannequin own={own} tried={tried.data} findings={findings} change={setOwn} />
        </div>
        <PositionForm own={own} findings={findings} change={setOwn} />
      </div>
    </>
  );
}
