import type { Finding } from '../../../shared/api/client';
import { words } from '../../../shared/units';
import { lineAt, spotOf, type Draft, type Spot } from './edit';

/** What stands against the session, each a way to its place. */
export function FindingList({
  findings,
  draft,
  select,
}: {
  findings: Finding[];
  draft: Draft;
  select: (s: Spot) => void;
}) {
  if (findings.length === 0) return null;
  return (
    <ul className="my-2 space-y-1" aria-label="Findings">
      {findings.map((f, i) => {
        const spot = spotOf(f.path) ?? lineSpot(f.path);
        const line = spot ? lineAt(draft, spot) : undefined;
        const text = `${f.severity === 'BLOCKING' ? '▲' : '△'} ${f.message}`;
        return (
          <li key={i} className={f.severity === 'BLOCKING' ? 'font-semibold text-warn' : 'text-soft'}>
            {spot && line ? (
              <button className="text-left underline decoration-dotted" onClick={() => select(spot)}>
                {text} <span className="font-normal">({words(line.motion)})</span>
              </button>
            ) : (
              text
            )}
          </li>
        );
      })}
    </ul>
  );
}

function lineSpot(path: string): Spot | null {
  const found = /^stations\[(\d+)\]\.lines\[(\d+)\]/.exec(path);
  return found ? { station: Number(found[1]), line: Number(found[2]), side: 'left', block: 0 } : null;
}
