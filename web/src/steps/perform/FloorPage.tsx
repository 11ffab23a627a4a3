import { useQuery } from '@tanstack/react-query';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { api, ask, on, type Schemas } from '../../shared/api/client';
import { Stair } from '../../shared/draw/Stair';
import { clock, degrees } from '../../shared/units';
import { Button } from '../../shared/ui/Button';
import { isTyping } from '../../shared/ui/keys';
import { Asides, type Aside } from './Asides';
import { BreathPacer } from './BreathPacer';
import { FloorStore } from './floorStore';
import { flush } from './outbox';
import * as Runs from './run';
import { grouped } from '../../shared/restrictions';
import { ClientCautions, useClientDay } from '../../shared/ui/ClientHead';
import { StopRules } from './StopRules';
import { useWakeLock } from './wakeLock';

export function FloorPage() {
  const { sessionId = '' } = useParams();
  const floor = useQuery({
    queryKey: ['floor', sessionId],
    staleTime: Infinity,
    queryFn: () => ask(api.GET('/api/sessions/{sessionId}', { params: { path: { sessionId } } })),
  });
  const theme = 'dark';
  useEffect(() => {
    const before = document.documentElement.dataset['theme'];
    document.documentElement.dataset['theme'] = theme;
    return () => {
      document.documentElement.dataset['theme'] = before;
    };
  }, []);
  if (floor.error) return <p className="p-8 text-2xl">{floor.error.message}</p>;
  if (!floor.data) return <p className="p-8 text-2xl text-soft">Opening the floor…</p>;
  if (floor.data.closed) return <Navigate to={`/sessions/${sessionId}/close`} replace />;
  return <Floor key={floor.data.id} floor={floor.data} />;
}

function Floor({ floor }: { floor: Schemas['Floor'] }) {
  const [store] = useState(() => new FloorStore(floor));
  const view = useSyncExternalStore(store.subscribe, store.snapshot);
  const [aside, setAside] = useState<Aside>(null);
  const [muted, setMuted] = useState(false);
  const navigate = useNavigate();
  useEffect(() => store.mount(), [store]);
  const { run, now } = view;
  const running = run.pausedAt === null && !run.finished;
  const wake = useWakeLock(running);
  const fresh = run.pausedAt !== null && Runs.elapsed(run, now) === 0;

  const mute = () => {
    setMuted(!muted);
    store.setMuted(!muted);
  };
  const toggle = () => (run.pausedAt === null ? store.change(Runs.pause) : store.start());
  useFloorKeys({ store, toggle, setAside, mute, open: aside !== null });
  useEffect(() => {
    if (!run.finished || aside !== null) return;
    void flush().then((all) => all && navigate(`/sessions/${floor.id}/close`));
  }, [run.finished, view.waiting, aside, navigate, floor.id]);

  return (
    <div className="flex min-h-dvh flex-col gap-2 bg-paper px-3 py-2 sm:px-6">
      <TopLine floor={floor} view={view} muted={muted} mute={mute} wake={wake} />
      {run.finished && aside === null && <Sending view={view} />}
      {fresh ? (
        <Before floor={floor} start={store.start} resumed={floor.doneBlocks.length > 0} />
      ) : (
        <Now view={view} floor={floor} />
      )}
      {!fresh && <Rating store={store} run={run} />}
      {!fresh && (
        <div className="grid grid-cols-4 gap-2 pb-1 text-lg sm:grid-cols-8">
          <Button look="main" onClick={toggle}>
            {run.pausedAt === null ? 'Pause' : 'Go on'}
          </Button>
          <Button onClick={() => store.change(Runs.backToBlockStart)}>Back</Button>
          <Button onClick={() => setAside('skip')}>Skip</Button>
          <Button onClick={() => store.change((r) => Runs.addSeconds(r, 10))}>+10 s</Button>
          <Button onClick={() => setAside('fault')}>Fault</Button>
          <Button onClick={() => setAside('pain')}>Pain</Button>
          <Button onClick={() => store.note(Runs.notedBlock(run), (n) => ({ cramps: n.cramps + 1 }))}>Cramp</Button>
          <Button onClick={() => store.note(Runs.notedBlock(run), () => ({ effortMissed: true }))}>Too hard</Button>
          <Button look="stop" className="col-span-full min-h-12" onClick={() => setAside('stop')}>
            ■ Stop sign
          </Button>
        </div>
      )}
      <Asides aside={aside} close={() => setAside(null)} store={store} floor={floor} run={run} />
    </div>
  );
}

type View = ReturnType<FloorStore['snapshot']>;

type TopProps = { floor: Schemas['Floor']; view: View; muted: boolean; mute: () => void; wake: string | null };

function TopLine({ floor, view, muted, mute, wake }: TopProps) {
  const { run, now } = view;
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-1 text-soft">
      <Link to={`/clients/${floor.clientId}`} className="font-semibold text-ink hover:underline">
        {floor.clientName}
      </Link>
      <span>{clock(Runs.secondsLeft(run, now))} left</span>
      <span role="status" className={view.trouble ? 'font-semibold text-warn' : ''}>
        {view.waiting > 0 ? `${view.waiting} to send. ${view.trouble ?? ''}` : 'all kept'}
      </span>
      {wake && <span>{wake}</span>}
      <Heads clientId={floor.clientId} />
      <span className="grow" />
      <button className="p-1 underline" onClick={mute}>
        {muted ? 'Sound on' : 'Mute'}
      </button>
    </header>
  );
}

/** The restrictions in a few words, all through the session. */
function Heads({ clientId }: { clientId: string }) {
  const day = useClientDay(clientId);
  const heads = grouped(day.data?.restrictions ?? []).map((g) =>
    [g.place, g.heads.join(', ')].filter(Boolean).join(': '),
  );
  return heads.length > 0 ? <span className="font-semibold text-warn">▲ {heads.join(' · ')}</span> : null;
}

function Before({ floor, start, resumed }: { floor: Schemas['Floor']; start: () => void; resumed: boolean }) {
  const first = floor.plan.firstSide;
  const setUp = on(first, floor.props);
  return (
    <div className="grid grow content-center gap-8 md:grid-cols-2">
      <div className="self-center">
        <p className="text-2xl text-soft">{resumed ? 'Resume where it stopped' : 'Make ready'}</p>
        <p className="text-5xl font-bold">{Runs.sideWord(first)} side first</p>
        <p className="my-4 text-2xl">
          {setUp.stackCm === undefined
            ? `Strap at ${degrees(setUp.reachedDegrees)}`
            : `${setUp.stackCm} cm under the foot, ${degrees(setUp.reachedDegrees)}`}
        </p>
        <Button look="main" className="min-h-20 w-full text-4xl" onClick={start} autoFocus>
          {resumed ? 'Go on' : 'Start'}
        </Button>
        {resumed && (
          <Link className="mt-4 inline-block text-xl underline" to={`/sessions/${floor.id}/close`}>
            Close it as it is
          </Link>
        )}
      </div>
      <div>
        <ClientCautions clientId={floor.clientId} />
        <StopRules painEndsAbove={floor.painEndsBlockAbove} />
      </div>
    </div>
  );
}

/** All is done, but the closing sheet waits until the server has every block. */
function Sending({ view }: { view: View }) {
  return (
    <p role="alert" className="bg-card p-4 text-3xl font-bold">
      Done.{' '}
      {view.waiting > 0 ? `${view.waiting} blocks still wait on this device: keep this page open.` : 'One moment…'}
    </p>
  );
}

function Now({ view, floor }: { view: View; floor: Schemas['Floor'] }) {
  const { run, now } = view;
  const phase = Runs.current(run);
  const next = run.phases[run.index + 1];
  const left = Math.max(0, Math.ceil(Runs.lengthOf(run) - Runs.elapsed(run, now) - 0.001));
  const marker = Runs.markerAt(run, now);
  const lane = run.phases.filter((p) => p.side === phase.side && (phase.set === 0 || p.set === phase.set));
  const setUp = on(phase.side, floor.props);
  const breath = [...phase.breaths].reverse().find((b) => b.atSecond <= marker)?.phase ?? 'SHALLOW';
  return (
    <div
      className="flex grow flex-col"
      data-testid="now"
      data-second={phase.startSecond}
      data-side={phase.side}
      data-block={phase.blockId}
    >
      <div className="flex flex-wrap items-baseline justify-between gap-x-5 text-xl sm:text-3xl">
        <span className="font-bold">{Runs.sideWord(phase.side)}</span>
        {phase.set > 0 && (
          <span>
            set {phase.set} of {phase.sets}
          </span>
        )}
        {phase.counts > 0 && phase.kind !== 'STEP' && (
          <span>
            {phase.count} of {phase.counts}
          </span>
        )}
        {Runs.isAside(phase) && setUp.stackCm !== undefined && (
          <span className="font-bold">{setUp.stackCm} cm block</span>
        )}
        <BreathPacer breath={breath} />
      </div>
      <div className="flex grow flex-wrap items-center gap-x-8">
        <span
          className="text-[40vh] leading-[0.85] portrait:text-[25vh] font-bold"
          data-testid="digits"
          aria-live="off"
        >
          {left}
        </span>
        <div className="min-w-0 flex-1 basis-72">
          {phase.contact ? (
            <div className={phase.block === 'PRESS' ? 'text-press' : 'text-pull'}>
              <p className="text-5xl font-bold sm:text-8xl">
                {phase.block === 'PRESS' ? 'Press' : 'Pull'} {phase.effortTo} %
              </p>
              <p className="text-xl text-ink sm:text-3xl">{phase.contact}</p>
            </div>
          ) : (
            <p className="text-4xl font-bold sm:text-5xl">{phase.cue}</p>
          )}
          <p className="mt-1 text-xl text-soft sm:text-2xl">{next ? `next: ${next.cue}` : 'then the end'}</p>
        </div>
      </div>
      <div className="h-[20vh] min-h-20 portrait:h-[9vh]">
        <Stair
          phases={lane}
          from={lane[0]?.startSecond ?? 0}
          to={lane[lane.length - 1]?.endSecond ?? 1}
          width={1200}
          height={160}
          marker={marker}
          label="The staircase with where you are"
        />
      </div>
    </div>
  );
}

/** Asked while settling after the set: how hard the press was. */
function Rating({ store, run }: { store: FloorStore; run: Runs.Run }) {
  const phase = Runs.current(run);
  const press = pressToRate(run);
  if (!press) return null;
  const rating = run.notes[press]?.effortRating;
  return (
    <div className="flex flex-wrap items-center gap-2">
      <span className="text-base sm:text-xl">{phase.set > 0 ? 'How hard was the press?' : 'Last press:'}</span>
      <div className="grid grow grid-cols-11" role="radiogroup" aria-label="Effort of the press, 0 to 10">
        {Array.from({ length: 11 }, (_, n) => (
          <button
            key={n}
            role="radio"
            aria-checked={rating === n}
            className={`min-h-11 border border-rule text-lg sm:text-xl ${rating === n ? 'bg-ink font-bold text-paper' : 'hover:bg-tread'}`}
            onClick={() => store.note(press, () => ({ effortRating: n }))}
          >
            {n}
          </button>
        ))}
      </div>
    </div>
  );
}

/** The last press that is over, until the next one begins. */
export function pressToRate(run: Runs.Run): string | null {
  if (Runs.current(run).block === 'PRESS') return null;
  for (let i = run.index - 1; i >= 0; i--) {
    if (run.phases[i]?.block === 'PRESS') return run.phases[i]?.blockId ?? null;
  }
  return null;
}

type KeyProps = {
  store: FloorStore;
  toggle: () => void;
  setAside: (aside: Aside) => void;
  mute: () => void;
  open: boolean;
};

function useFloorKeys({ store, toggle, setAside, mute, open }: KeyProps) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (open || isTyping(event) || event.ctrlKey || event.metaKey || event.repeat) return;
      const { run } = store.snapshot();
      const actions: Record<string, () => void> = {
        ' ': toggle,
        ArrowLeft: () => store.change(Runs.backToBlockStart),
        ArrowRight: () => setAside('skip'),
        '+': () => store.change((r) => Runs.addSeconds(r, 10)),
        f: () => setAside('fault'),
        p: () => setAside('pain'),
        x: () => setAside('stop'),
        m: mute,
        c: () => store.note(Runs.notedBlock(run), (n) => ({ cramps: n.cramps + 1 })),
        e: () => store.note(Runs.notedBlock(run), () => ({ effortMissed: true })),
      };
      const press = pressToRate(run);
      const action =
        actions[event.key] ?? (press && /^\d$/.test(event.key) ? () => rate(store, press, Number(event.key)) : null);
      if (!action) return;
      event.preventDefault();
      action();
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, [store, toggle, setAside, mute, open]);
}

/** A 0 after a 1 makes ten. */
function rate(store: FloorStore, press: string, digit: number) {
  store.note(press, (n) => ({ effortRating: digit === 0 && n.effortRating === 1 ? 10 : digit }));
}
