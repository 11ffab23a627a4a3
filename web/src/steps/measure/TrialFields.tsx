import type { KeyboardEvent } from 'react';
import type { Finding } from '../../shared/api/client';
import { FieldFinding } from '../../shared/ui/Findings';
import { read, cannotRead, shownAs } from '../../shared/typed';
import { MOST_TRIALS, trialPath, trialUnit, USUAL_TRIALS, type BenchState } from './draft';

type Props = {
  state: BenchState;
  set: (part: Partial<BenchState>) => void;
  findings: Finding[];
  onEnter: () => void;
  asksForMore: boolean;
};

const FEELS: Record<string, BenchState['endFeel']> = {
  s: 'STRETCH',
  m: 'MUSCULAR_EFFORT',
  p: 'PINCH',
  h: 'HARD_BLOCK',
  n: 'NOTHING',
};

/** At once: the next key may already be on its way. */
function focusTrial(index: number) {
  document.querySelector<HTMLInputElement>(`input[name="trial-${index}"]`)?.focus();
}

/** Two digits from 20 on, or three from 100 on, cannot go on: the next trial comes without Enter. */
function isFull(text: string, state: BenchState): boolean {
  return state.instrument !== 'TAPE' && /^([2-9]\d|1\d\d)$/.test(text);
}

/** Trials by keys alone: digits, letters for the end feel, plus and minus for pain, Enter to keep. */
export function TrialFields({ state, set, findings, onEnter, asksForMore }: Props) {
  const last = state.trials.length - 1;
  const put = (trials: string[], focus: number) => {
    set({ trials });
    focusTrial(focus);
  };
  const change = (index: number, text: string) => {
    const before = state.trials[index - 1];
    // A decimal point after a full number belongs to that number.
    if (index > 0 && before && state.trials[index] === '' && /^[.,]$/.test(text)) {
      put(
        state.trials.map((t, i) => (i === index - 1 ? `${t}.` : t)),
        index - 1,
      );
      return;
    }
    const trials = state.trials.map((t, i) => (i === index ? text : t));
    if (isFull(text, state) && index < last) put(trials, index + 1);
    else set({ trials });
  };
  const onKey = (event: KeyboardEvent, index: number) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'Enter') {
      event.preventDefault();
      if (index < last && state.trials[index] !== '') focusTrial(index + 1);
      else onEnter();
      return;
    }
    const part = byLetter(event.key, state);
    if (part) {
      event.preventDefault();
      set(part);
    }
  };
  const unit = trialUnit(state);
  return (
    <div className="grid grid-cols-3 gap-4 sm:grid-cols-6" role="group" aria-label="Trials">
      {state.trials.map((text, i) => (
        <div key={i}>
          <label className="block text-sm text-soft" htmlFor={`${state.id}-${i}`}>
            Trial {i + 1}
          </label>
          <span className="flex items-baseline gap-1 border-b-2 border-rule focus-within:border-ink">
            <input
              id={`${state.id}-${i}`}
              name={`trial-${i}`}
              inputMode="decimal"
              autoComplete="off"
              autoFocus={i === 0 || i >= USUAL_TRIALS}
              className="w-full min-w-0 bg-transparent py-1 text-2xl font-semibold outline-none"
              value={text}
              onChange={(e) => change(i, e.target.value)}
              onKeyDown={(e) => onKey(e, i)}
              aria-invalid={text !== '' && read(text, unit) === null}
            />
            <span className="text-sm text-soft">{shownAs(unit).unit}</span>
          </span>
          {text !== '' && read(text, unit) === null ? (
            <p role="alert" className="mt-1 text-sm font-semibold text-warn">
              {cannotRead(unit)}
            </p>
          ) : (
            text !== '' && <FieldFinding findings={findings} path={trialPath(state, i)} />
          )}
        </div>
      ))}
      {asksForMore && last + 1 < MOST_TRIALS && state.trials[last] !== '' && (
        <button
          type="button"
          className="min-h-11 self-end border border-rule bg-card px-3 font-semibold hover:bg-tread"
          onClick={() => put([...state.trials, ''], last + 1)}
        >
          + trial
        </button>
      )}
    </div>
  );
}

function byLetter(key: string, state: BenchState): Partial<BenchState> | null {
  const feel = FEELS[key];
  if (feel) return { endFeel: feel };
  const pain = state.pain ?? 0;
  if (key === '+') return { pain: Math.min(10, pain + 1) };
  if (key === '-' && pain > 0) return { pain: pain - 1 };
  if (key === 'c' && state.mode !== 'PASSIVE') return { controlGrade: ((state.controlGrade ?? -1) + 1) % 4 };
  if (key === 'w') return { warmth: state.warmth === 'COLD' ? 'WARM' : 'COLD' };
  return null;
}
