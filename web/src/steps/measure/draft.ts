import { newId, type Schemas, type Side } from '../../shared/api/client';

export type Draft = Schemas['MeasurementDraft'];
export type Mode = Draft['mode'];
export type Typed = (number | null)[];

/** What is typed, before it is a draft: empty trials are still empty. */
export type BenchState = {
  id: string;
  motion: string;
  side: Side;
  mode: Mode;
  warmth: Draft['warmth'];
  position: string;
  instrument: Draft['instrument'];
  tester: Draft['tester'];
  trials: Typed;
  startCm: number | null;
  shankCm: number | null;
  endFeel: NonNullable<Draft['endFeel']> | null;
  pain: number | null;
  controlGrade: number | null;
  note: string;
};

export const USUAL_TRIALS = 3;
export const MOST_TRIALS = 6;

export function emptyTrials(): Typed {
  return Array<number | null>(USUAL_TRIALS).fill(null);
}

export function firstState(motion: string, position: string): BenchState {
  return {
    id: newId(),
    motion,
    side: 'LEFT',
    mode: 'PASSIVE',
    warmth: 'COLD',
    position,
    instrument: 'GONIOMETER',
    tester: 'COACH',
    trials: emptyTrials(),
    startCm: null,
    shankCm: null,
    endFeel: null,
    pain: null,
    controlGrade: null,
    note: '',
  };
}

/** Empty fields in front of the last typed one are kept out, so that paths of findings point at the typed ones. */
export function draftOf(state: BenchState): Draft {
  const typed = state.trials.filter((t) => t !== null);
  const tape = state.instrument === 'TAPE';
  return {
    id: state.id,
    motion: state.motion,
    side: state.side,
    mode: state.mode,
    warmth: state.warmth,
    position: state.position,
    instrument: state.instrument,
    tester: state.tester,
    trials: tape ? [] : typed,
    tape: tape ? { lengthsCm: typed, startCm: state.startCm ?? 0, shankCm: state.shankCm ?? undefined } : undefined,
    endFeel: state.endFeel ?? undefined,
    pain: state.pain ?? 0,
    controlGrade: state.controlGrade ?? undefined,
    note: state.note,
  };
}

/** Left then right, passive then active: the order in which a coach goes round a motion. */
export function afterKept(state: BenchState): BenchState {
  const side: Side = state.side === 'LEFT' ? 'RIGHT' : 'LEFT';
  const mode: Mode = state.side === 'RIGHT' && state.mode === 'PASSIVE' ? 'ACTIVE' : state.mode;
  return {
    ...state,
    id: newId(),
    side,
    mode,
    trials: emptyTrials(),
    endFeel: null,
    pain: null,
    controlGrade: null,
    note: '',
  };
}
