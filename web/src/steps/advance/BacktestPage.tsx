import { useQuery } from '@tanstack/react-query';
import { scaleTime } from 'd3-scale';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, ask, type Schemas } from '../../shared/api/client';
import { verdictWord } from '../../shared/draw/VerdictGlyph';
import { day, words } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { Working } from '../../shared/ui/Working';

type View = Schemas['BacktestView'];
type Parted = Schemas['ClientParting'];

/** What another policy would have proposed at every recorded state. */
export function BacktestPage() {
  const [search, setSearch] = useSearchParams();
  const policies = useQuery({ queryKey: ['policies'], queryFn: () => ask(api.GET('/api/policies')) });
  const clients = useQuery({ queryKey: ['clients'], queryFn: () => ask(api.GET('/api/clients')) });
  const others = policies.data?.filter((p) => !p.inUse) ?? [];
  const policy = search.get('policy') ?? others[0]?.id;
  const chosen = search.getAll('client');
  const test = useQuery({
    queryKey: ['backtest', policy, chosen],
    enabled: policy !== undefined,
    queryFn: () =>
      ask(
        api.GET('/api/backtests/{policyId}', {
          params: { path: { policyId: policy ?? '' }, query: { client: chosen } },
        }),
      ),
  });
  const set = (id: string | undefined, ids: string[]) =>
    setSearch([...(id ? [['policy', id]] : []), ...ids.map((c) => ['client', c])] as [string, string][]);
  const query = chosen.map((c) => `client=${encodeURIComponent(c)}`).join('&');
  return (
    <>
      <h1 className="text-3xl font-bold">Looking back with other rules</h1>
      <p className="mb-4 max-w-prose text-soft">
        One step ahead from each recorded state: what the other policy would have proposed there. What it would have led
        to nobody knows, since later sessions followed the doses that were really given.
      </p>
      {policies.data && others.length === 0 && (
        <p className="text-lg">
          There is one policy only.{' '}
          <Link className="font-semibold underline" to="/rules">
            Copy the house policy and change a number
          </Link>{' '}
          to see what it would have done.
        </p>
      )}
      <div className="mb-3 flex flex-wrap items-center gap-2">
        {others.map((p) => (
          <Button key={p.id} look={p.id === policy ? 'main' : 'plain'} onClick={() => set(p.id, chosen)}>
            {p.name}
          </Button>
        ))}
      </div>
      {others.length > 0 && (
        <fieldset className="mb-4 flex flex-wrap gap-x-5 gap-y-1">
          <legend className="text-sm text-soft">Clients; none ticked is all of them</legend>
          {clients.data?.map((c) => (
            <label key={c.id} className="flex min-h-9 items-center gap-2">
              <input
                type="checkbox"
                checked={chosen.includes(c.id)}
                onChange={(e) => set(policy, e.target.checked ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))}
              />
              {c.name}
            </label>
          ))}
        </fieldset>
      )}
      <Failure error={policies.error ?? test.error} />
      {test.isFetching && !test.data && <Working name="backtest" what="Going through every line" />}
      {test.data && (
        <>
          <Summary view={test.data} />
          <Picture partings={test.data.shown} />
          <p className="my-3">
            <a className="font-semibold underline" href={`/api/backtests/${policy}/differences.csv?${query}`}>
              All {test.data.differences} as CSV
            </a>
          </p>
          <Listed view={test.data} />
        </>
      )}
    </>
  );
}

function Summary({ view }: { view: View }) {
  const share = view.states === 0 ? 0 : Math.round((100 * view.differences) / view.states);
  return (
    <div className="mb-4">
      <p className="text-2xl">
        <strong>{view.differences}</strong> of {view.states} states differ ({share} %), in {view.lines}{' '}
        {view.lines === 1 ? 'line' : 'lines'}.
      </p>
      {view.unjudged > 0 && (
        <p className="font-semibold text-warn">
          ▲ {view.unjudged} {view.unjudged === 1 ? 'line' : 'lines'} could not be judged and stood aside;{' '}
          <Link className="underline" to="/decisions">
            Decisions
          </Link>{' '}
          says which.
        </p>
      )}
      <ul className="mt-1 flex flex-wrap gap-x-6">
        {view.turns.map((t) => (
          <li key={t.one + t.other}>
            {t.one === t.other
              ? `${verdictWord(t.one)}, another step`
              : `${verdictWord(t.one)} → ${verdictWord(t.other)}`}{' '}
            <strong>{t.count}</strong>
          </li>
        ))}
      </ul>
    </div>
  );
}

const WIDTH = 900;
const ROW = 24;
const LEFT = 150;

/** A row a client, time to the right: down where the other policy is more cautious, up where it is bolder. */
function Picture({ partings }: { partings: Parted[] }) {
  if (partings.length === 0) return null;
  const names = [...new Set(partings.map((p) => p.clientName))].sort();
  const times = partings.map((p) => Date.parse(p.parting.at));
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const x = scaleTime([first - 86_400_000, last + 86_400_000], [LEFT, WIDTH - 24]);
  const ticks = [...new Map(x.ticks(6).map((t) => [day(t.toISOString()), t])).entries()];
  const height = names.length * ROW + 24;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${height}`}
      className="w-full max-w-5xl"
      role="img"
      aria-label="Where the policies part"
    >
      {names.map((name, i) => (
        <g key={name}>
          <line x1={LEFT} x2={WIDTH} y1={(i + 0.5) * ROW} y2={(i + 0.5) * ROW} stroke="var(--rule)" />
          <text x={0} y={(i + 0.5) * ROW + 4} fontSize="13" fill="var(--ink)">
            {name}
          </text>
        </g>
      ))}
      {partings.map((p) => (
        <path
          key={p.lineId + p.parting.side + p.parting.at}
          transform={`translate(${x(Date.parse(p.parting.at))} ${(names.indexOf(p.clientName) + 0.5) * ROW + (p.parting.side === 'LEFT' ? -4 : 4)})`}
          d={MARKS[p.parting.turn]}
          fill="var(--ink)"
        />
      ))}
      {ticks.map(([name, t]) => (
        <text key={name} x={x(t)} y={height - 4} fontSize="11" textAnchor="middle" fill="var(--soft)">
          {name}
        </text>
      ))}
    </svg>
  );
}

const MARKS: Record<Schemas['Parting']['turn'], string> = {
  MORE_CAUTIOUS: 'M-5 -4h10l-5 8z',
  ALIKE: 'M-4 -2h8v4h-8z',
  BOLDER: 'M-5 4h10l-5 -8z',
};

const ROWS = 60;

function Listed({ view }: { view: View }) {
  const [all, setAll] = useState(false);
  const rows = all ? view.shown : view.shown.slice(0, ROWS);
  if (rows.length === 0) return <p className="text-lg">Both would have proposed the same, everywhere.</p>;
  return (
    <>
      <table className="w-full">
        <thead className="text-left text-sm text-soft">
          <tr>
            <th className="font-normal">When</th>
            <th className="font-normal">Who</th>
            <th className="font-normal">{view.one}</th>
            <th className="font-normal">{view.other}</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((p) => (
            <tr key={p.lineId + p.parting.side + p.parting.at} className="border-t border-rule align-top">
              <td className="py-1 pr-4 whitespace-nowrap">{day(p.parting.at)}</td>
              <td className="pr-4">
                <Link className="underline" to={`/clients/${p.clientId}/advance`}>
                  {p.clientName}
                </Link>
                , {words(p.parting.side)}
              </td>
              <Said step={p.parting.one} />
              <Said step={p.parting.other} />
            </tr>
          ))}
        </tbody>
      </table>
      {!all && view.shown.length > ROWS && (
        <Button className="mt-3" onClick={() => setAll(true)}>
          Show {view.shown.length - ROWS} more
        </Button>
      )}
    </>
  );
}

function Said({ step }: { step: Schemas['Proposed'] }) {
  return (
    <td className="pr-4">
      <strong>{verdictWord(step.verdict)}</strong> <span className="text-soft">{step.why.text}</span>
    </td>
  );
}
