import { read } from '../../shared/typed';
import { newId, type Schemas, type Side } from '../../shared/api/client';

export type Draft = Schemas['MeasurementDraft'];
export type Mode = Draft['mode'];
export type Body = Schemas['Body'];
export type Segment = Schemas['NeededLength']['segment'];
export type Item = Schemas['Item'];

/** What is typed, before it is a draft: trials stay the text they are, empty ones too. */
export type BenchState = Item & {
  id: string;
  tester: Draft['tester'];
  trials: string[];
  startCm: number | null;
  body: Partial<Record<Segment, number>>;
  incline: { bench: string; degrees: number | null } | null;
  endFeel: NonNullable<Draft['endFeel']> | null;
  pain: number | null;
  controlGrade: number | null;
  note: string;
  assessmentId?: string;
};

export const USUAL_TRIALS = 3;
export const MOST_TRIALS = 6;

export function emptyTrials(): string[] {
  return Array<string>(USUAL_TRIALS).fill('');
}

const FRESH = { endFeel: null, pain: null, controlGrade: null, note: '' };

export function stateOf(item: Item, assessmentId?: string): BenchState {
  return {
    ...item,
    ...FRESH,
    id: newId(),
    tester: 'COACH',
    trials: emptyTrials(),
    startCm: null,
    body: {},
    incline: null,
    assessmentId,
  };
}

/** What a trial is typed in. */
export function trialUnit({ instrument }: BenchState): string {
  return instrument === 'TAPE' ? 'cm' : '°';
}

/** The trials that can be read, as they are stored. */
export function readTrials(state: BenchState): number[] {
  return state.trials.map((t) => read(t, trialUnit(state))).filter((t) => t !== null);
}

/** Empty fields are left out, so that paths of findings count the typed ones. */
export function draftOf(state: BenchState): Draft {
  const typed = readTrials(state);
  const tape = state.instrument === 'TAPE';
  const { startCm, body, incline, endFeel, pain, controlGrade, ...plain } = state;
  return {
    ...plain,
    trials: tape ? [] : typed,
    tape: tape ? { lengthsCm: typed, startCm: startCm ?? 0, body } : undefined,
    incline: incline ? { bench: incline.bench, degrees: incline.degrees ?? 0 } : undefined,
    endFeel: endFeel ?? undefined,
    pain: pain ?? 0,
    controlGrade: controlGrade ?? undefined,
  };
}

/** What a finding of a trial is called: trials count only the typed ones. */
export function trialPath(state: BenchState, index: number): string {
  const among = readTrials({ ...state, trials: state.trials.slice(0, index) }).length;
  return state.instrument === 'TAPE' ? `tape.lengthsCm[${among}]` : `trials[${among}]`;
}

/** Left then right, passive then active: the order in which a coach goes round a motion. */
export function afterKept(state: BenchState): BenchState {
  const midline = state.side === 'MIDLINE';
  const side: Side = midline ? 'MIDLINE' : state.side === 'LEFT' ? 'RIGHT' : 'LEFT';
  const mode: Mode = state.side !== 'LEFT' && state.mode === 'PASSIVE' ? 'ACTIVE' : state.mode;
  return { ...state, ...FRESH, id: newId(), side, mode, trials: emptyTrials() };
}

/** Another item of a battery with the same tester and lengths. */
export function onTo(item: Item, state: BenchState): BenchState {
  return { ...stateOf(item, state.assessmentId), tester: state.tester, startCm: state.startCm, body: state.body };
}

/** The first side, position and instrument of a motion, keeping what fits of the state before. */
export function withMotion(state: BenchState, motion: string, body: Body): BenchState {
  const midline = body.motions.find((m) => m.id === motion)?.midline ?? false;
  const places = body.positions.filter((p) => p.motions.includes(motion));
  const position = places.find((p) => p.id === state.position) ?? places[0];
  const paired = state.side === 'MIDLINE' ? 'LEFT' : state.side;
  const next = { ...state, motion, side: midline ? ('MIDLINE' as const) : paired, position: position?.id ?? '' };
  return withPosition(next, next.position, body);
}

export function withPosition(state: BenchState, position: string, body: Body): BenchState {
  const tape = body.positions.find((p) => p.id === position)?.tape;
  const instrument = state.instrument === 'TAPE' && !tape ? 'GONIOMETER' : state.instrument;
  return { ...state, position, instrument };
}
