import { useEffect, useRef } from 'react';
import type { Schemas } from '../../shared/api/client';
import { sideWords } from '../../shared/sides';
import { amount, counted } from '../../shared/units';

type Waiting = Schemas['Waiting'];
type Sum = Schemas['ClientSum'];

const URGENCIES: Record<Waiting['urgency'], string> = {
  STOP: 'Stop',
  STEP_DOWN: 'Step down',
  MEASURE: 'Measure first',
  STEP_UP: 'Step up',
  STAY: 'Stay',
};

const COUNTED: [Waiting['urgency'], string][] = [
  ['STAY', 'stay'],
  ['STEP_UP', 'up'],
  ['MEASURE', 'to measure'],
  ['STEP_DOWN', 'down'],
  ['STOP', 'stopped'],
];

export function keyOf(w: Waiting): string {
  return `${w.lineId} ${w.side}`;
}

/** "10 lines: 7 stay, 2 up, 1 down". */
function summed(s: Sum): string {
  const said = COUNTED.filter(([urgency]) => s.counts[urgency]).map(
    ([urgency, word]) => `${s.counts[urgency]} ${word}`,
  );
  return `${counted(s.lines, 'line')}: ${said.join(', ')}`;
}

type Props = { sums: Sum[]; waiting: Waiting[]; chosen: string; choose: (key: string) => void };

/** Client by client; only what differs from a plain stay is listed. */
export function QueueList({ sums, waiting, chosen, choose }: Props) {
  const current = useRef<HTMLButtonElement>(null);
  useEffect(() => {
    current.current?.scrollIntoView({ block: 'nearest' });
  }, [chosen]);
  return (
    <ul className="max-h-[38vh] overflow-y-auto lg:max-h-[80vh]" aria-label="What waits">
      {sums.map((sum) => (
        <li key={sum.clientId} className="mb-3">
          <h2 className="border-t-2 border-ink pt-1 font-bold">{sum.clientName}</h2>
          <p className="text-sm text-soft">{summed(sum)}</p>
          <ul>
            {waiting
              .filter((w) => w.clientId === sum.clientId)
              .map((w) => (
                <li key={keyOf(w)}>
                  <button
                    ref={keyOf(w) === chosen ? current : undefined}
                    aria-current={keyOf(w) === chosen}
                    onClick={() => choose(keyOf(w))}
                    className={`w-full border-t border-l-4 border-t-rule px-3 py-1.5 text-left ${
                      keyOf(w) === chosen ? 'border-l-ink bg-card' : 'border-l-transparent hover:bg-tread'
                    }`}
                  >
                    <Entry waiting={w} />
                  </button>
                </li>
              ))}
          </ul>
        </li>
      ))}
    </ul>
  );
}

function Entry({ waiting: w }: { waiting: Waiting }) {
  return (
    <>
      <span className="flex items-baseline justify-between gap-2">
        <strong>{URGENCIES[w.urgency]}</strong>
        <span className="text-sm whitespace-nowrap text-soft">{sideWords(w.side, w.sides)}</span>
      </span>
      {w.session && <span className="block text-xs text-soft">in “{w.session}”</span>}
      <span className="block text-sm">{w.suspends ? `suspends: ${w.why.text}` : w.why.text}</span>
      <Also waiting={w} />
      {w.fresh.length > 0 && <span className="block text-xs text-soft">new this week: {w.fresh.length}</span>}
    </>
  );
}

/** What changes beside the step itself. */
function Also({ waiting: { why, changes } }: { waiting: Waiting }) {
  const more = changes.filter((c) => !why.text.includes(fromTo(c))).map(changed);
  return more.length > 0 ? <span className="block text-xs text-soft">{more.join(', ')}</span> : null;
}

function fromTo(c: Schemas['Change']): string {
  return `${amount(c.from, c.unit)} → ${amount(c.to, c.unit)}`;
}

function changed(c: Schemas['Change']): string {
  return `${c.what} ${fromTo(c)}`;
}
