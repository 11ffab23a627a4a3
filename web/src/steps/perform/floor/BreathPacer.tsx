import type { Schemas } from '../../../shared/api/client';

const WORDS: Record<Schemas['BreathMark']['phase'], string> = {
  IN: 'breathe in',
  OUT: 'breathe out',
  SHALLOW: 'small breaths, never held',
  FREE: 'breathe as you like',
};

/** The breath as a word and a ring that grows and shrinks. */
export function BreathPacer({ breath }: { breath: Schemas['BreathMark']['phase'] }) {
  const scale = breath === 'IN' ? 1 : breath === 'OUT' ? 0.45 : 0.65;
  return (
    <span className="inline-flex items-center gap-2 text-base text-soft sm:text-xl">
      <svg
        width={34}
        height={34}
        viewBox="0 0 34 34"
        className="transition-transform duration-2000 ease-in-out will-change-transform"
        style={{ transform: `scale(${scale})` }}
        aria-hidden="true"
      >
        <circle cx={17} cy={17} r={14} fill="none" stroke="currentColor" strokeWidth={3} />
      </svg>
      {WORDS[breath]}
    </span>
  );
}
