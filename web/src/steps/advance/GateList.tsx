import type { Schemas } from '../../shared/api/client';
import { verdictWord } from '../../shared/draw/VerdictGlyph';

const NAMES: Record<string, string> = {
  'stop-sign': 'Stop signs',
  'too-much': 'Too much',
  'long-gap': 'Long gap',
  unknowns: 'Still unknown',
  qualified: 'Clean sessions',
};

const MARKS: Record<Schemas['GateResult']['outcome'], [string, string]> = {
  PASSED: ['✓', 'passed'],
  DECIDED: ['■', 'decides'],
  NOT_REACHED: ['·', 'not reached'],
};

/** Each gate with what was seen, what it was held against, and where the limit comes from. */
export function GateList({ gates }: { gates: Schemas['GateResult'][] }) {
  return (
    <ol className="space-y-2">
      {gates.map((gate) => {
        const [mark, word] = MARKS[gate.outcome];
        const decides = gate.outcome === 'DECIDED';
        return (
          <li
            key={gate.id}
            className={`grid grid-cols-[1.6rem_1fr_auto] gap-x-2 border-l-4 px-3 py-1.5 ${
              decides ? 'border-ink bg-card' : 'border-rule'
            } ${gate.outcome === 'NOT_REACHED' ? 'text-soft' : ''}`}
          >
            <span aria-hidden="true" className="text-lg">
              {mark}
            </span>
            <span>
              <strong>{NAMES[gate.id] ?? gate.id}</strong> <span className="text-soft">{word}</span>
              {gate.verdict && <strong>: {verdictWord(gate.verdict).toLowerCase()}</strong>}
              <br />
              {gate.outcome === 'NOT_REACHED' ? null : gate.because.text}
              <span className="block text-xs text-soft">{gate.source.text}</span>
            </span>
            <span className="text-right whitespace-nowrap">
              {gate.outcome !== 'NOT_REACHED' && gate.seen !== undefined && gate.against !== undefined && (
                <>
                  <span className="text-lg font-semibold">{gate.seen}</span>
                  <br />
                  <span className="text-sm text-soft">limit {gate.against}</span>
                </>
              )}
            </span>
          </li>
        );
      })}
    </ol>
  );
}
