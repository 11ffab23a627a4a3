import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { forgeryHeader, problem, ProblemError, type Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { MadeFiles } from '../../shared/ui/MadeFiles';
import { Backups } from './Backups';

const FILES: [string, string][] = [
  ['clients.csv', 'clients with goal, equipment and body lengths'],
  ['screenings.csv', 'what was answered'],
  ['restrictions.csv', 'restrictions that coaches added'],
  ['clearances.csv', 'written clearances'],
  ['pauses.csv', 'times without training'],
  ['policies.csv', 'the studio’s own rules, a row for each version'],
  ['lines.csv', 'lines, a row for each version'],
  ['studio-methods.csv', 'the studio’s own methods'],
  ['sessions.csv', 'sessions, a row for each saving'],
  ['batteries.csv', 'batteries of measurements'],
  ['assessments.csv', 'assessments'],
  ['movements.csv', 'movements as they were seen'],
  ['measurements.csv', 'every measurement'],
  ['runs.csv', 'sessions as they were run, and how they ended'],
  ['blocks.csv', 'what was done in each block'],
  ['mornings.csv', 'next-morning answers'],
  ['home-notes.csv', 'notes from home'],
  ['reference-contractions.csv', 'reference contractions'],
  ['traces.csv', 'what gauges heard'],
  ['decisions.csv', 'what the coach decided'],
];

export function StudioPage() {
  return (
    <>
      <h1 className="mb-5 text-3xl font-bold">Studio</h1>
      <div className="grid gap-10 lg:grid-cols-2">
        <div className="space-y-10">
          <Backups />
          <Import />
        </div>
        <Export />
      </div>
    </>
  );
}

async function send(files: File[]): Promise<Schemas['Taken'][]> {
  const form = new FormData();
  files.forEach((file) => form.append('file', file));
  const response = await fetch('/api/exchange/import', {
    method: 'POST',
    body: form,
    headers: forgeryHeader(),
  }).catch(() => {
    throw new ProblemError(0, 'The server does not answer, or the file is far too large. Nothing was stored.', []);
  });
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) throw problem(response.status, body);
  return body as Schemas['Taken'][];
}

function Import() {
  const queries = useQueryClient();
  const [files, setFiles] = useState<File[]>([]);
  const take = useMutation({ mutationFn: send, onSuccess: () => queries.invalidateQueries() });
  const findings = take.error instanceof ProblemError ? take.error.findings : [];
  return (
    <section>
      <h2 className="text-xl font-bold">Import</h2>
      <p className="mb-3 max-w-prose text-soft">
        Any of the files on this page, or the whole archive. All or nothing: with one wrong cell nothing is stored, and
        its row and column are named. Rows that are here already stay as they are.
      </p>
      <input
        type="file"
        multiple
        accept=".csv,.zip"
        aria-label="Files to import"
        className="mb-3 block w-full border border-rule bg-card p-3"
        onChange={(e) => {
          setFiles([...(e.target.files ?? [])]);
          take.reset();
        }}
      />
      <Button look="main" disabled={files.length === 0 || take.isPending} onClick={() => take.mutate(files)}>
        {take.isPending ? 'Reading…' : 'Import'}
      </Button>
      {take.error && (
        <div role="alert" className="mt-4 border-l-4 border-warn bg-warn-paper px-3 py-2 text-warn">
          <p className="font-semibold">Nothing was stored. {findings.length === 0 && take.error.message}</p>
          <ul className="mt-1 list-disc pl-5">
            {findings.map((f) => (
              <li key={f.path + f.code}>{f.message}</li>
            ))}
          </ul>
        </div>
      )}
      {take.data && (
        <ul role="status" className="mt-4 space-y-1">
          {take.data.map((t) => (
            <li key={t.file}>
              <strong>{t.file}</strong>: {t.rows} rows read, {t.added} new
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const ARCHIVE = ['archive'];

function Export() {
  return (
    <section>
      <h2 className="text-xl font-bold">Export</h2>
      <p className="mb-3 max-w-prose text-soft">
        Everything as CSV. Imported into an empty Gradino it gives the same proposals as here.
      </p>
      <MadeFiles works={ARCHIVE}>
        <a
          href="/api/exchange/gradino.zip"
          download
          className="mb-4 inline-block bg-ink px-4 py-2.5 font-semibold text-paper hover:opacity-90"
        >
          All files in one archive
        </a>
      </MadeFiles>
      <ul>
        {FILES.map(([file, what]) => (
          <li key={file} className="border-t border-rule py-2">
            <a className="font-semibold underline" href={`/api/exchange/files/${file}`} download>
              {file}
            </a>{' '}
            <span className="text-soft">{what}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
