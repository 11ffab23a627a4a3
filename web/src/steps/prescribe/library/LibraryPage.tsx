import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { words as plain } from '../../../shared/units';
import { Failure } from '../../../shared/ui/Findings';
import { TurnableFigure } from '../../../shared/draw/TurnableFigure';
import { useFigures } from '../../../shared/draw/useFigures';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { ImportPositions } from './ImportPositions';
import { Methods } from './Methods';

/** Positions with their drawings, and the methods: what a coach can prescribe from. */
export function LibraryPage() {
  const [search] = useSearchParams();
  const find = search.get('find') ?? '';
  return (
    <>
      <h1 className="mb-4 text-3xl font-bold">Library</h1>
      <Positions key={find} start={find} />
      {!find && (
        <div id="methods" className="mt-10">
          <Methods />
        </div>
      )}
    </>
  );
}

function Positions({ start }: { start: string }) {
  const [words, setWords] = useState(start);
  const found = useQuery({
    queryKey: ['library', words],
    placeholderData: keepPreviousData,
    queryFn: () => ask(api.GET('/api/library', { params: { query: { words, motion: '', method: '' } } })),
  });
  const names = useCatalogue();
  const show = (id: string) => {
    setWords(names.data?.positions.find((p) => p.id === id)?.name ?? id);
    scrollTo({ top: 0 });
  };
  return (
    <>
      <h2 className="mb-2 text-xl font-bold">
        Positions <span className="font-normal text-soft">{found.data && `· ${found.data.length}`}</span>
        {!start && (
          <a className="ml-6 text-base font-semibold underline" href="#methods">
            Methods
          </a>
        )}
      </h2>
      <label className="mb-4 block max-w-lg text-sm text-soft">
        Search by name, motion, tissue, fault or method
        <input
          className="mt-1 block w-full border-b-2 border-rule bg-transparent py-1 text-xl text-ink focus:border-ink"
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <ImportPositions />
      <Failure error={found.error} />
      {found.data?.length === 0 && <p className="text-soft">Nothing fits. Try fewer words.</p>}
      <ul className="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {found.data?.map((entry) => (
          <li key={entry.position.id} className="break-inside-avoid border border-rule bg-card p-3">
            <PositionCard entry={entry} show={show} />
          </li>
        ))}
      </ul>
    </>
  );
}

type Show = (position: string) => void;

/** What a number does here; another position is a link to it. */
function Hints({ title, hints, show }: { title: string; hints: Schemas['Hint'][]; show: Show }) {
  return (
    <p>
      <span className="text-soft">{title}:</span>{' '}
      {hints.map((h, i) => (
        <span key={h.words}>
          {i > 0 && '; '}
          {h.position ? (
            <button className="font-semibold underline" onClick={() => show(h.position)}>
              {h.words}
            </button>
          ) : (
            h.words + amount(h)
          )}
        </span>
      ))}
    </p>
  );
}

const UNITS: Partial<Record<Schemas['Hint']['take'], string>> = {
  ANGLE: '°',
  BENCH: ' cm',
  BAND: ' cm',
  STRAP: ' mark',
  EFFORT: ' %',
  HOLD: ' s',
  TEMPO: ' s',
  PAUSE: ' s',
  LOAD: ' kg',
};

function amount({ take, by }: Schemas['Hint']): string {
  const unit = UNITS[take];
  return unit ? ` (${by < 0 ? '−' : '+'}${Math.abs(by)}${unit})` : '';
}

function PositionCard({ entry, show }: { entry: Schemas['LibraryEntry']; show: Show }) {
  const { position } = entry;
  const figure = useFigures().data?.[position.id];
  const t = position.training;
  return (
    <>
      <div className="flex gap-3">
        <div className="h-36 w-44 shrink-0">
          {figure && (
            <TurnableFigure figure={figure} of={{ position: position.id }} label={position.name} className="h-36" />
          )}
        </div>
        <div>
          <h3 className="font-bold">
            {position.name} {entry.own && <span className="font-normal text-soft">(ours)</span>}
          </h3>
          <p className="text-sm text-soft">{position.motions.map(plain).join(', ')}</p>
          <p className="mt-1 text-sm">{position.setup}</p>
        </div>
      </div>
      {t && (
        <details className="mt-2 text-sm" open={entry.own}>
          <summary className="cursor-pointer font-semibold">Press, pull, props, faults, stop signs</summary>
          <p className="mt-1">
            <span className="text-soft">Lengthened:</span> {t.tissue}
          </p>
          {t.press && (
            <p>
              <span className="font-semibold text-press">Press:</span> {t.press}
            </p>
          )}
          {t.pull && (
            <p>
              <span className="font-semibold text-pull">Pull:</span> {t.pull}
            </p>
          )}
          {t.props.length > 0 && (
            <p>
              <span className="text-soft">Props:</span> {t.props.map((p) => `${p.what}: ${p.then}`).join('; ')}
            </p>
          )}
          <Hints title="Easier" hints={t.easier} show={show} />
          <Hints title="Harder" hints={t.harder} show={show} />
          <p>
            <span className="text-soft">Faults:</span> {t.fixes.map((f) => `${f.what} → ${f.then}`).join('; ')}
          </p>
          <p>
            <span className="font-semibold text-warn">Stop for:</span> {t.stops.join('; ')}
          </p>
          <p className="text-soft">{t.source.text}</p>
          <Link className="inline-block py-2 font-semibold underline" to={`/library/${position.id}`}>
            {entry.own ? 'Change' : 'Copy and change'}
          </Link>
        </details>
      )}
    </>
  );
}
