import type { Finding } from '../../../shared/api/client';
import { words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { FieldFinding } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { changeStation, joinToBefore, onItsOwn, type Draft } from './edit';

type Props = {
  draft: Draft;
  at: { station: number; line: number };
  findings: Finding[];
  change: (make: (draft: Draft) => Draft, key: string | null) => void;
  select: (at: { station: number; line: number }) => void;
};

/** Lines done together: in rounds, with rest between them, perhaps with one set-up for two. */
export function Together({ draft, at, findings, change, select }: Props) {
  const station = draft.stations[at.station];
  if (!station) return null;
  const place = `stations[${at.station}]`;
  const others = station.lines.filter((_, i) => i !== at.line);
  const set = (part: Partial<typeof station>, key: string | null) =>
    change((d) => changeStation(d, at.station, part), key);
  return (
    <div className="space-y-2">
      {others.length > 0 && (
        <p>
          Done together with{' '}
          {others.map((l, i) => (
            <button
              key={l.id}
              className="font-semibold underline"
              onClick={() => select({ station: at.station, line: station.lines.indexOf(l) })}
            >
              {i > 0 && ', '}
              {words(l.motion)}
            </button>
          ))}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-4">
        <div className="w-24">
          <NumberField
            label="Rounds"
            value={station.rounds}
            onChange={(v) => set({ rounds: v ?? 0 }, `${place}.rounds`)}
            path={`${place}.rounds`}
            findings={findings}
          />
        </div>
        {station.rounds > 1 && (
          <div className="w-32">
            <NumberField
              label="Rest between rounds"
              unit="s"
              step={5}
              value={station.restSeconds}
              onChange={(v) => set({ restSeconds: v ?? 0 }, `${place}.rest`)}
              path={`${place}.restSeconds`}
              findings={findings}
            />
          </div>
        )}
        {station.lines.length === 2 && (
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              checked={station.oneSetUp}
              onChange={(e) => set({ oneSetUp: e.target.checked }, null)}
            />
            one set-up for both
          </label>
        )}
        {others.length > 0 ? (
          <Button
            onClick={() => {
              change((d) => onItsOwn(d, at.station, at.line), null);
              select({ station: at.station + 1, line: 0 });
            }}
          >
            On its own again
          </Button>
        ) : (
          at.station > 0 && (
            <Button
              onClick={() => {
                const before = draft.stations[at.station - 1];
                change((d) => joinToBefore(d, at.station), null);
                select({ station: at.station - 1, line: before?.lines.length ?? 0 });
              }}
            >
              Together with the line before
            </Button>
          )
        )}
      </div>
      <FieldFinding findings={findings} path={`${place}.oneSetUp`} />
    </div>
  );
}
