import type { Schemas } from '../api/client';

export type Verdict = Schemas['Proposal']['verdict'];

const WORDS: Record<Verdict, string> = {
  STEP_UP: 'Step up',
  STAY: 'Stay',
  STEP_DOWN: 'Step down',
  STOP_AND_REFER: 'Stop and refer',
};

const PATHS: Record<Verdict, string> = {
  STEP_UP: 'M3 19h8v-7h8V5h4',
  STAY: 'M3 13h20M3 13v6M23 13v6',
  STEP_DOWN: 'M3 6h6v7h8v7h6',
  STOP_AND_REFER: 'M4 5h18v14H4zM4 5l18 14M22 5L4 19',
};

export function verdictWord(verdict: Verdict): string {
  return WORDS[verdict];
}

/** A word and a shape of its own for each verdict. */
export function VerdictGlyph({ verdict, big = false }: { verdict: Verdict; big?: boolean }) {
  const size = big ? 44 : 26;
  return (
    <span className={`inline-flex items-center gap-2 font-bold whitespace-nowrap ${big ? 'text-3xl' : ''}`}>
      <svg width={size} height={size} viewBox="0 0 26 24" aria-hidden="true">
        <path d={PATHS[verdict]} fill="none" stroke="currentColor" strokeWidth="3" />
      </svg>
      {WORDS[verdict]}
    </span>
  );
}
