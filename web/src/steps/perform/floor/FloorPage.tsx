import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useState, useSyncExternalStore } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { api, ask, AT_HOME, type Schemas } from '../../../shared/api/client';
import { clock } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { FloorSheets, type SheetName } from './FloorSheets';
import { Before } from './Before';
import { useDarkScreen } from '../darkScreen';
import { FloorStore } from './floorStore';
import { useMoment } from './moments';
import { Now } from './Now';
import { flush } from './outbox';
import { doneHere, forgetDone, waitingBlocks } from './queue';
import { Rating } from './Rating';
import * as Runs from '../run';
import { grouped } from '../../../shared/restrictions';
import { useClientDay } from '../../../shared/ui/ClientCautions';
import { useFloorKeys } from './useFloorKeys';
import { MeasureNow } from '../MeasureNow';
import { TestNow } from '../TestNow';
import { useOthers } from './presence';
import { extraSet } from '../variants';
import { useWakeLock } from './wakeLock';

// Not loaded on a client's phone.
const GaugeBar = lazy(() => import('../gauge/GaugeBar').then((m) => ({ default: m.GaugeBar })));
const BeforeExtras = lazy(() => import('./BeforeExtras').then((m) => ({ default: m.BeforeExtras })));

/**
 * With what was done on this device beside what the server has. What waits here is asked first: what has gone out since is
 * then among what the server has.
 */
async function openFloor(runId: string): Promise<Schemas['Floor']> {
  const here = await waitingBlocks(runId);
  const floor = await ask(api.GET('/api/runs/{runId}', { params: { path: { runId } } }));
  if (floor.closed) forgetDone(runId);
  return { ...floor, doneBlocks: [...floor.doneBlocks, ...here, ...doneHere(runId)] };
}

export function FloorPage() {
  const { runId = '' } = useParams();
  const floor = useQuery({
    queryKey: ['floor', runId],
    staleTime: Infinity,
    queryFn: () => openFloor(runId),
  });
  useDarkScreen();
  if (floor.error) return <p className="p-8 text-2xl">{floor.error.message}</p>;
  if (!floor.data) return <p className="p-8 text-2xl text-soft">Opening the floor…</p>;
  if (floor.data.closed) return <Navigate to={`/runs/${runId}/close`} replace />;
  return <Floor key={floor.data.id} floor={floor.data} />;
}

function Floor({ floor }: { floor: Schemas['Floor'] }) {
  const [store] = useState(() => new FloorStore(floor));
  const view = useSyncExternalStore(store.subscribe, store.snapshot);
  const [sheet, setSheet] = useState<SheetName>(null);
  const [muted, setMuted] = useState(false);
  const navigate = useNavigate();
  useEffect(() => store.mount(), [store]);
  const { run } = view;
  const running = run.pausedAt === null && !run.finished;
  const wake = useWakeLock(running);
  const others = useOthers(floor.id);
  const line = floor.lines.find((l) => l.line === Runs.current(run).line);
  const fresh = run.pausedAt !== null && Runs.elapsed(run, run.pausedAt) === 0;

  const mute = () => {
    setMuted(!muted);
    store.setMuted(!muted);
  };
  const toggle = () => (run.pausedAt === null ? store.change(Runs.pause) : store.start());
  useFloorKeys({ store, toggle, setSheet, mute, open: sheet !== null });
  useEffect(() => {
    if (!run.finished || sheet !== null) return;
    void flush().then((all) => all && navigate(`/runs/${floor.id}/close`));
  }, [run.finished, view.waiting, sheet, navigate, floor.id]);

  return (
    <div className="flex min-h-dvh flex-col gap-2 bg-paper px-3 py-2 sm:px-6">
      <TopLine floor={floor} store={store} view={view} muted={muted} mute={mute} wake={wake} />
      {others > 0 && (
        <p role="alert" className="font-semibold text-warn">
          ▲ This session is open on another device too. Run it on one: of a block done on both, the later record counts.
        </p>
      )}
      {run.finished && sheet === null && <Sending view={view} />}
      {fresh ? (
        <Before floor={floor} start={store.start} resumed={floor.doneBlocks.length > 0}>
          {!AT_HOME && (
            <Suspense fallback={null}>
              <BeforeExtras store={store} floor={floor} />
            </Suspense>
          )}
        </Before>
      ) : (
        <Now
          run={run}
          moments={store}
          floor={floor}
          trace={store.recorder?.points}
          changeProp={() => setSheet('prop')}
        />
      )}
      {!fresh && view.gauges && (
        <Suspense fallback={null}>
          <GaugeBar gauges={view.gauges} run={run} floor={floor} />
        </Suspense>
      )}
      {!fresh && <Measured floor={floor} run={run} />}
      {!fresh && <CrampWords run={run} rule={line?.cramp} />}
      {!fresh && <Rating store={store} run={run} />}
      {!fresh && (
        <div className="grid grid-cols-5 gap-1 pb-1 text-sm *:px-1 sm:grid-cols-10 sm:gap-2 sm:text-lg">
          <Button look="main" onClick={toggle}>
            {run.pausedAt === null ? 'Pause' : 'Go on'}
          </Button>
          <Button onClick={() => store.change(Runs.backToBlockStart)}>Back</Button>
          <Button onClick={() => store.leave(Runs.nextPhase)} title="Enter">
            Next
          </Button>
          <Button onClick={() => setSheet('skip')}>Skip</Button>
          <Button onClick={() => store.change((r) => Runs.addSeconds(r, 10))}>+10 s</Button>
          <Button disabled={!extraSet(run, floor.variants)} onClick={store.addSet}>
            +1 set
          </Button>
          <Button onClick={() => setSheet('fault')}>Fault</Button>
          <Button onClick={() => setSheet('pain')}>Pain</Button>
          <Button onClick={store.cramp}>Cramp</Button>
          <Button onClick={() => store.note(Runs.notedBlock(run), () => ({ effortMissed: true }))}>
            {line?.breath === 'GAUGE' ? 'Breath uneven' : 'Too hard'}
          </Button>
          <Button look="stop" className="col-span-full min-h-12" onClick={() => setSheet('stop')}>
            ■ Stop sign
          </Button>
        </div>
      )}
      <FloorSheets sheet={sheet} close={() => setSheet(null)} store={store} floor={floor} run={run} />
    </div>
  );
}

/** After a first cramp, by a method that eases off: what to do, and what the next one does. */
function CrampWords({ run, rule }: { run: Runs.Run; rule: Schemas['FloorLine']['cramp'] | undefined }) {
  if (rule !== 'EASE_OFF' || run.finished || Runs.crampsOfSet(run, Runs.current(run).blockId) !== 1) return null;
  return (
    <p role="status" className="text-xl font-semibold text-warn">
      ▲ Ease off until the cramp lets go. A second one ends this set.
    </p>
  );
}

/** Asked at its moment: while the timeline leaves time to measure, or to test a movement. */
function Measured({ floor, run }: { floor: Schemas['Floor']; run: Runs.Run }) {
  const phase = Runs.current(run);
  const line = floor.lines.find((l) => l.line === phase.line);
  const cold = floor.coldBlocks.includes(phase.blockId);
  if (phase.block === 'MOVEMENT_RETEST') {
    return <TestNow key={phase.blockId} runId={floor.id} phase={phase} cold={cold} />;
  }
  if (phase.block !== 'RE_MEASURE' || !line) return null;
  return (
    <MeasureNow
      key={phase.blockId}
      clientId={floor.clientId}
      line={line}
      warmth={cold ? 'COLD' : 'WARM'}
      sides={phase.side === 'MIDLINE' ? line.measuredSides : [phase.side]}
    />
  );
}

type View = ReturnType<FloorStore['snapshot']>;

type TopProps = {
  floor: Schemas['Floor'];
  store: FloorStore;
  view: View;
  muted: boolean;
  mute: () => void;
  wake: string | null;
};

function TopLine({ floor, store, view, muted, mute, wake }: TopProps) {
  const left = useMoment(store, (now) => clock(Runs.secondsLeft(view.run, now)));
  return (
    <header className="flex flex-wrap items-center gap-x-5 gap-y-1 text-soft">
      <Link to={AT_HOME ? '/' : `/clients/${floor.clientId}`} className="font-semibold text-ink hover:underline">
        {AT_HOME ? 'My training' : floor.clientName}
      </Link>
      <span>{left} left</span>
      <span role="status" className={view.trouble ? 'font-semibold text-warn' : ''}>
        {kept(view)}
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

function kept({ waiting, trouble }: View): string {
  if (waiting === null) return 'looking for what waits…';
  return waiting > 0 ? `${waiting} to send. ${trouble ?? ''}` : 'all saved';
}

/** The restrictions in a few words, all through the session. */
function Heads({ clientId }: { clientId: string }) {
  const day = useClientDay(clientId);
  const heads = grouped(day.data?.restrictions ?? []).map((g) =>
    [g.place, g.heads.join(', ')].filter(Boolean).join(': '),
  );
  return heads.length > 0 ? <span className="font-semibold text-warn">▲ {heads.join(' · ')}</span> : null;
}

/** All is done, but the closing sheet waits until the server has every block. */
function Sending({ view }: { view: View }) {
  return (
    <p role="alert" className="bg-card p-4 text-3xl font-bold">
      Done. {view.waiting ? `${view.waiting} blocks still wait on this device: keep this page open.` : 'One moment…'}
    </p>
  );
}
