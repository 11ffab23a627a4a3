import type { Schemas } from '../../../shared/api/client';

export type Phase = Schemas['ScorePhase'];

/** What pulling a phase's right edge changes: a number of its block by name, or a tread by its index. */
export type Grip = { number: string } | { step: number } | null;

const NUMBERS: Partial<Record<Phase['kind'], string>> = {
  HOLD: 'seconds',
  RELEASE: 'seconds',
  TOP_HOLD: 'top-hold',
  RAMP_DOWN: 'down',
  CONTRACT: 'contract',
  RELAX: 'relax',
  RE_STRETCH: 're-stretch',
  HANDS_OFF_HOLD: 'hold',
  LIFT: 'hold',
  LOWER: 'rest',
  BOTTOM: 'pause',
  UP: 'up',
  PULSE_IN: 'in',
  PULSE_OUT: 'out',
  STEP_AWAY: 'away',
  STEP_INTO: 'into',
  MOVE: 'seconds',
  END_PAUSE: 'pause',
  CIRCLE_ONE_WAY: 'seconds',
  CIRCLE_OTHER_WAY: 'seconds',
};

/** The same phase means another number in another kind of block. */
export function grip(phase: Phase, form: Schemas['BlockDraft']['form']): Grip {
  if (form === 'GROUP') return null;
  if (phase.kind === 'STEP')
    return form === 'GRADED_SET' && phase.block === 'PULL' ? { number: 'pull' } : { step: phase.count - 1 };
  if (phase.kind === 'SETTLE') return { number: form === 'GRADED_SET' ? 'settle' : 'seconds' };
  if (phase.kind === 'REST') return { number: form === 'REST' ? 'seconds' : 'rest' };
  if (phase.kind === 'LOWERING') return { number: form === 'LOADED_STRETCH' ? 'down' : 'lowering' };
  if (phase.kind === 'RETURN') return { number: 'return' };
  const number = NUMBERS[phase.kind];
  return number === undefined ? null : { number };
}

/** The number that + and − change for a kind of block. */
export const MAIN_NUMBER: Partial<Record<Schemas['BlockDraft']['form'], string>> = {
  CONTROLLED_ROTATION: 'repetitions',
  RELEASE: 'seconds',
  SUPPORTED_HOLD: 'seconds',
  PRESS_RAMP: 'top-hold',
  PULL_RAMP: 'top-hold',
  GRADED_SET: 'top-hold',
  CONTRACT_RELAX: 'cycles',
  HANDS_OFF_HOLD: 'hold',
  LIFT_OFF: 'repetitions',
  ECCENTRIC: 'repetitions',
  LOADED_STRETCH: 'repetitions',
  PULSES: 'repetitions',
  SIDESTEP_ROUNDS: 'rounds',
  TRANSITION: 'repetitions',
  SETTLE: 'seconds',
  REST: 'seconds',
  GROUP: 'rounds',
  RE_MEASURE: 'seconds',
  PROP: 'bench',
  MOVEMENT_RETEST: 'seconds',
};

/** The phases of one block, one after the other. */
export type BlockOfPhases = {
  /** Of its first phase among all. */
  first: number;
  place: string;
  side: Phase['side'];
  startSecond: number;
  phases: Phase[];
};

export function blocksOf(phases: Phase[]): BlockOfPhases[] {
  const blocks: BlockOfPhases[] = [];
  phases.forEach((phase, index) => {
    const last = blocks.at(-1);
    if (last?.place === phase.place && last.side === phase.side) last.phases.push(phase);
    else
      blocks.push({
        first: index,
        place: phase.place,
        side: phase.side,
        startSecond: phase.startSecond,
        phases: [phase],
      });
  });
  return blocks;
}

const LOOKS = ['block', 'kind', 'direction', 'effortFrom', 'effortTo', 'cue', 'set', 'count'] as const;

/** All but where it stands. */
export function looksTheSame(a: BlockOfPhases, b: BlockOfPhases): boolean {
  const by = b.startSecond - a.startSecond;
  return (
    a.first === b.first &&
    a.place === b.place &&
    a.phases.length === b.phases.length &&
    a.phases.every((p, n) => {
      const q = b.phases[n];
      return (
        q !== undefined &&
        q.startSecond - p.startSecond === by &&
        q.endSecond - p.endSecond === by &&
        LOOKS.every((name) => p[name] === q[name]) &&
        p.inhales.length === q.inhales.length &&
        p.inhales.every((second, i) => second === q.inhales[i])
      );
    })
  );
}
