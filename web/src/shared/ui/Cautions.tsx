import type { Schemas } from '../api/client';

/** What must not be done with this client; on every view of theirs. */
export function Cautions({ restriction, hypermobile }: { restriction: Schemas['Restriction']; hypermobile: boolean }) {
  const parts = [
    restriction.stopped ? 'Stopped until cleared in writing' : null,
    restriction.effortCap === undefined ? null : `Effort at most ${restriction.effortCap} %`,
    restriction.noDeepening ? 'No deepening' : null,
  ].filter((p) => p !== null);
  if (parts.length === 0 && !hypermobile) return null;
  return (
    <div className="my-2 border-l-4 border-warn bg-warn-paper px-3 py-2 text-warn" role="note">
      {parts.length > 0 && (
        <p>
          <strong>{parts.join(' · ')}</strong>: {restriction.reason}
        </p>
      )}
      {hypermobile && (
        <p>
          <strong>Hypermobile</strong>: never deeper, control work only (Malfait et al. 2017).
        </p>
      )}
    </div>
  );
}
