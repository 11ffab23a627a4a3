import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { findingsOf } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { Sheet } from '../../shared/ui/Sheet';
import { TextField } from '../../shared/ui/TextField';
import { DAY_NAMES, type WeekView } from './days';
import { targetsOf, type useChange } from './useWeek';

/** What is to be moved: from which day, and where to where that is known. */
export type Held = { unit: string; from: number; to?: number };

type Props = {
  clientId: string;
  week: WeekView;
  held: Held;
  close: () => void;
  change: ReturnType<typeof useChange>;
};

/** In place of a day: what is added comes from nowhere. */
export const NOWHERE = -1;

/** Where a session may go: every day with what it would break. */
export function MoveSheet({ clientId, week, held, close, change }: Props) {
  const targets = useQuery(targetsOf(clientId, week.monday, held.unit, held.from));
  const [to, setTo] = useState<number | null>(held.to === undefined || held.to === held.from ? null : held.to);
  const [reason, setReason] = useState('');
  const unit = week.units.find((u) => u.id === held.unit);
  const chosen = to === null ? undefined : targets.data?.[to];
  const findings = findingsOf(change.error);
  const adds = held.from === NOWHERE;
  const move = (day: number) =>
    change.mutate(
      { kind: 'move', move: { unit: held.unit, from: held.from, to: day, reason } },
      { onSuccess: () => close() },
    );
  return (
    <Sheet open onOpenChange={(open) => !open && close()} title={`${adds ? 'Add' : 'Move'} ${unit?.name ?? ''}`}>
      <ul className="mb-4">
        {targets.data?.map((t) =>
          t.day === held.from ? null : (
            <li key={t.day} className="border-t border-rule">
              <button
                className={`flex min-h-11 w-full items-baseline gap-3 px-2 py-2 text-left disabled:opacity-60 ${
                  t.day === to ? 'bg-ink text-paper' : 'hover:bg-tread'
                }`}
                aria-pressed={t.day === to}
                disabled={t.never || week.days[t.day]?.over}
                onClick={() => setTo(t.day)}
              >
                <span className="w-28 shrink-0 font-semibold">{DAY_NAMES[t.day]}</span>
                <span className="text-sm">
                  {week.days[t.day]?.over
                    ? 'is past, or done'
                    : t.broken.length === 0
                      ? 'nothing speaks against it'
                      : t.broken.map((b) => `▲ ${b}`).join(' ')}
                </span>
              </button>
            </li>
          ),
        )}
      </ul>
      {chosen && chosen.broken.length > 0 && !chosen.never && (
        <TextField
          label="Why all the same? It stays there until you move it again."
          value={reason}
          onChange={setReason}
          path="reason"
          findings={findings}
        />
      )}
      <Failure error={findings.length > 0 ? null : change.error} />
      <OtherFindings findings={findings} shown={(path) => path === 'reason'} />
      <div className="mt-4 flex flex-wrap gap-3">
        <Button look="main" disabled={to === null || change.isPending} onClick={() => to !== null && move(to)}>
          {adds ? 'Add' : 'Move'}
        </Button>
        {!adds && (
          <Button disabled={change.isPending} onClick={() => move(NOWHERE)}>
            Cancel out this day
          </Button>
        )}
        <Button onClick={close}>Cancel</Button>
      </div>
    </Sheet>
  );
}
