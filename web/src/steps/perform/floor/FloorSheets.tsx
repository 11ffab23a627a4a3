import { useEffect, useState, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { api, ask, AT_HOME, on, type Schemas } from '../../../shared/api/client';
import { words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { NumberField } from '../../../shared/ui/NumberField';
import { Sheet } from '../../../shared/ui/Sheet';
import type { FloorStore } from './floorStore';
import { flush } from './outbox';
import * as Runs from '../run';
import { useStopSigns } from '../StopRules';
import { lineOf, setUpWords, sideWords, type Apparatus } from '../setUp';
import { easierOf } from '../variants';

export type SheetName = 'skip' | 'fault' | 'pain' | 'prop' | 'stop' | null;

const SKIP_REASONS = ['no time', 'tired', 'equipment', 'does not suit today', 'already done'];
const KINDS: [Schemas['Pain']['kind'], string][] = [
  ['WHILE_CONTRACTING', 'while contracting'],
  ['AT_REST_IN_RANGE', 'at rest in the range'],
  ['PINCH_THAT_EASED', 'a pinch that eased'],
  ['WRONG_JOINT', 'in another joint'],
];

type Props = { sheet: SheetName; close: () => void; store: FloorStore; floor: Schemas['Floor']; run: Runs.Run };

/** What is said on the floor beside the timeline; the clock goes on unless it is a stop. */
export function FloorSheets({ sheet, close, store, floor, run }: Props) {
  const titles = {
    skip: 'Skip: why?',
    fault: 'Which fault?',
    pain: 'Pain',
    prop: 'Set up another way',
    stop: 'Stop sign',
  };
  return (
    <Sheet open={sheet !== null} onOpenChange={(open) => !open && close()} title={sheet ? titles[sheet] : ''}>
      {sheet === 'skip' && <Skip store={store} close={close} run={run} />}
      {sheet === 'fault' && <Fault store={store} close={close} floor={floor} run={run} />}
      {sheet === 'pain' && <PainSheet store={store} close={close} run={run} floor={floor} />}
      {sheet === 'prop' && <Prop store={store} close={close} floor={floor} run={run} />}
      {sheet === 'stop' && <Stop store={store} floor={floor} run={run} close={close} />}
    </Sheet>
  );
}

type Part = { store: FloorStore; close: () => void; run: Runs.Run };

function Skip({ store, close, run }: Part) {
  const [whole, setWhole] = useState(false);
  const { side } = Runs.current(run);
  const skip = (because: string) => {
    store.leave((r, now) => (whole ? Runs.skipSide(r, because, now) : Runs.skipBlock(r, because, now)));
    close();
  };
  return (
    <div className="space-y-3">
      <label className="flex min-h-11 items-center gap-3 text-lg">
        <input type="checkbox" className="size-6" checked={whole} onChange={(e) => setWhole(e.target.checked)} />
        leave out all that is left of {side === 'MIDLINE' ? 'this line' : `the ${words(side)} side`}
      </label>
      <div className="grid gap-2 sm:grid-cols-2">
        {SKIP_REASONS.map((reason) => (
          <Button key={reason} className="min-h-14 text-lg" onClick={() => skip(reason)}>
            {reason}
          </Button>
        ))}
      </div>
    </div>
  );
}

/** Easier heights that the server worked out; what was planned is one tap away. */
function Prop({ store, close, floor, run }: Part & { floor: Schemas['Floor'] }) {
  const phase = Runs.current(run);
  const line = lineOf(floor.lines, phase);
  if (!line) return null;
  const choose = (setUp?: Schemas['SetUp']) => {
    store.change((r) => Runs.lieOn(r, setUp && { angle: setUp.reachedDegrees, stack: setUp.stackCm }));
    close();
  };
  const planned = on(phase.side, line.props);
  const used = (apparatus: Apparatus) => {
    store.change((r) => Runs.lieOn(r, { angle: planned.reachedDegrees, stack: planned.stackCm, apparatus }));
    close();
  };
  return (
    <div className="grid gap-2">
      <p>
        {Runs.sideWord(phase.side)}, from this block on. It is recorded, and a session set up another way does not count
        for the next step.
      </p>
      <Button className="min-h-14 text-lg" onClick={() => choose()}>
        as planned: {sideWords(line, phase.side)}
      </Button>
      {on(phase.side, line.otherProps).map((setUp) => (
        <Button key={setUp.reachedDegrees} className="min-h-14 text-lg" onClick={() => choose(setUp)}>
          {setUpWords(setUp)}
        </Button>
      ))}
      <OtherApparatus planned={on(phase.side, line.apparatus)} keep={used} />
    </div>
  );
}

const APPARATUS: [Exclude<keyof Apparatus, 'band'>, string, string][] = [
  ['benchCm', 'Bench', 'cm'],
  ['inclineDegrees', 'Incline', '°'],
  ['strapMark', 'Strap mark', ''],
  ['bandCm', 'Band stretched to', 'cm'],
];

/** What it really lay on, of what was prescribed. */
function OtherApparatus({ planned, keep }: { planned: Apparatus; keep: (apparatus: Apparatus) => void }) {
  const [apparatus, setStand] = useState(planned);
  const named = APPARATUS.filter(([name]) => planned[name] > 0);
  if (named.length === 0) return null;
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3">
      {named.map(([name, label, unit]) => (
        <div key={name} className="w-32">
          <NumberField
            label={label}
            unit={unit}
            value={apparatus[name]}
            onChange={(v) => setStand({ ...apparatus, [name]: v ?? 0 })}
          />
        </div>
      ))}
      <Button className="min-h-14 text-lg" onClick={() => keep(apparatus)}>
        So it was
      </Button>
    </div>
  );
}

function Fault({ store, close, floor, run }: Part & { floor: Schemas['Floor'] }) {
  const [block] = useState(() => Runs.notedBlock(run));
  const line = run.phases.find((p) => p.blockId === block)?.line;
  const faults = floor.lines.find((l) => l.line === line)?.faults ?? floor.lines.flatMap((l) => l.faults);
  const [side, which] = useWhichSide(run, block, floor);
  return (
    <>
      {which}
      <div className="grid gap-2 sm:grid-cols-2">
        {faults.map((fault) => (
          <Button
            key={fault}
            className="min-h-14 text-lg"
            onClick={() => {
              store.note(block, (n) => ({ faults: [...n.faults, side ? `${fault}, ${side}` : fault] }));
              close();
            }}
          >
            {fault}
          </Button>
        ))}
      </div>
    </>
  );
}

/** Where both sides work at once, which of them it is about: asked, and said with what is noted. */
function useWhichSide(run: Runs.Run, block: string, floor: Schemas['Floor']): [string, ReactNode] {
  const [side, setSide] = useState('');
  const phase = run.phases.find((p) => p.blockId === block);
  const line = floor.lines.find((l) => l.line === phase?.line);
  if (phase?.side !== 'MIDLINE' || line?.sides !== 'TOGETHER') return ['', null];
  return [
    side,
    <div key="side" role="group" aria-label="On which side?" className="grid grid-cols-3 gap-2">
      {['', 'left', 'right'].map((one) => (
        <Button
          key={one}
          aria-pressed={side === one}
          look={side === one ? 'main' : 'plain'}
          onClick={() => setSide(one)}
        >
          {one || 'both sides'}
        </Button>
      ))}
    </div>,
  ];
}

function PainSheet({ store, close, run, floor }: Part & { floor: Schemas['Floor'] }) {
  const endsAbove = floor.painEndsBlockAbove;
  const [easier, offer] = useState<Schemas['Variant'] | null>(null);
  const [score, setScore] = useState<number | null>(null);
  const [where, setWhere] = useState('');
  const [block] = useState(() => Runs.notedBlock(run));
  const [side, which] = useWhichSide(run, block, floor);
  const keep = (kind: Schemas['Pain']['kind']) => {
    if (score === null) return;
    store.note(block, (n) => ({
      pains: [...n.pains, { score, kind, where: [side, where].filter(Boolean).join(', ') }],
    }));
    const now = store.snapshot().run;
    const ends = score > endsAbove && Runs.current(now).blockId === block;
    if (ends) store.leave((r, at) => Runs.skipBlock(r, `pain ${score}`, at));
    const instead = ends ? easierOf(now, floor.variants, block) : undefined;
    if (!instead) return close();
    store.change(Runs.pause);
    offer(instead);
  };
  if (easier) {
    const answer = (yes: boolean) => {
      if (yes) store.change((r, at) => Runs.insertHere(r, easier.phases, at));
      store.change(Runs.resume);
      close();
    };
    return (
      <div className="space-y-4">
        <p className="text-xl">This block is over. The timeline waits: an easier version, once?</p>
        <Button look="main" className="min-h-16 w-full text-2xl" onClick={() => answer(true)}>
          {easierWords(easier)}
        </Button>
        <Button className="min-h-14 w-full text-xl" onClick={() => answer(false)}>
          No, go on without it
        </Button>
      </div>
    );
  }
  return (
    <div className="space-y-4">
      <p>How much, 0 to 10? Above {endsAbove} this block ends.</p>
      <div className="grid grid-cols-6 gap-1 sm:grid-cols-11">
        {Array.from({ length: 11 }, (_, n) => (
          <Button
            key={n}
            look={score === n ? 'main' : 'plain'}
            className="min-h-14 px-0 text-xl"
            onClick={() => setScore(n)}
          >
            {n}
          </Button>
        ))}
      </div>
      {which}
      <label className="block text-sm text-soft">
        Where, if worth saying
        <input
          className="block w-full border-b-2 border-rule bg-transparent py-1 text-lg text-ink outline-none focus:border-ink"
          value={where}
          onChange={(e) => setWhere(e.target.value)}
        />
      </label>
      <div className="grid gap-2 sm:grid-cols-2">
        {KINDS.map(([kind, text]) => (
          <Button key={kind} className="min-h-14 text-lg" disabled={score === null} onClick={() => keep(kind)}>
            {text}
          </Button>
        ))}
      </div>
    </div>
  );
}

function easierWords(easier: Schemas['Variant']): string {
  const top = Math.max(...easier.phases.map((p) => p.effortTo));
  const seconds = easier.phases.at(-1)?.endSecond ?? 0;
  return top > 0 ? `Up to ${top} %, ${seconds} s` : `${seconds} s`;
}

/** One tap ends the timeline; then it asks which sign, says what to do, and closes the session as stopped. */
function Stop({ store, floor, run, close }: Part & { floor: Schemas['Floor'] }) {
  const signs = useStopSigns();
  const navigate = useNavigate();
  const [side] = useState(() => Runs.current(run).side);
  const [chosen, setChosen] = useState<Schemas['StopSignText'] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [sent, setSent] = useState(false);
  useEffect(() => {
    store.change(Runs.pause);
  }, [store]);
  const stop = async (sign: Schemas['StopSignText']) => {
    setChosen(sign);
    setTrouble(null);
    try {
      if (!store.snapshot().run.finished) store.leave((r, now) => Runs.endHere(r, sign.words, now));
      await flush();
      await ask(
        api.POST('/api/runs/{runId}/close', {
          params: { path: { runId: floor.id } },
          body: { observer: AT_HOME ? 'CLIENT' : 'COACH', stopSign: sign.sign, stopSide: side, note: '' },
        }),
      );
      setSent(true);
    } catch {
      setTrouble('This could not be sent yet. Keep this page open and try again.');
    }
  };
  if (chosen) {
    return (
      <div className="space-y-4">
        <p className="text-2xl font-bold">{chosen.advice}</p>
        <p>
          The session is over.{' '}
          {AT_HOME
            ? 'Nothing starts again until your coach has cleared it: speak to them, or to who treats you, today.'
            : 'This side stays suspended until you clear it in writing.'}
        </p>
        {trouble && (
          <p role="alert" className="font-semibold text-warn">
            {trouble} <Button onClick={() => void stop(chosen)}>Try again</Button>
          </p>
        )}
        <Button
          look="main"
          className="min-h-14 w-full text-xl"
          disabled={!sent}
          onClick={() => {
            close();
            void navigate(`/runs/${floor.id}/close`);
          }}
        >
          {AT_HOME ? 'Close' : 'To the closing sheet'}
        </Button>
      </div>
    );
  }
  return (
    <div className="space-y-2">
      <p className="text-lg">The timeline is paused. Which sign?</p>
      {signs.data?.map((sign) => (
        <Button
          key={sign.sign}
          look="stop"
          className="min-h-14 w-full text-left text-lg"
          onClick={() => void stop(sign)}
        >
          {sign.words}
        </Button>
      ))}
    </div>
  );
}
