import type { Finding, Schemas } from '../../shared/api/client';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { FieldFinding } from '../../shared/ui/Findings';
import { Ticks } from '../../shared/ui/Ticks';
import type { Part, Query } from './asked';

const PERIODS = [
  ['BASELINE', 'Since the baseline'],
  ['BLOCK', 'This block'],
  ['DATES', 'Other dates'],
] as const;

const AUDIENCES = [
  ['CLIENT', 'Client'],
  ['COACH', 'Coach'],
  ['PROFESSIONAL', 'Other professional'],
] as const;

const PARTS: readonly (readonly [Part, string])[] = [
  ['BETTER', 'Better?'],
  ['STAYED', 'Stayed?'],
  ['DONE', 'Done'],
  ['CLIMBED', 'Climbed'],
  ['NEXT', 'Next'],
];

type Props = {
  asked: Query;
  change: (part: Partial<Query>) => void;
  findings: Finding[];
  days: Schemas['Period'] | undefined;
};

/** Which days, for whom, and which parts. */
export function Choices({ asked, change, findings, days }: Props) {
  const dates = asked.period === 'DATES';
  const named = asked.named ?? asked.audience !== 'PROFESSIONAL';
  return (
    <>
      <Choice
        label="Which days"
        value={asked.period ?? 'BASELINE'}
        options={PERIODS}
        onChange={(period) =>
          change(
            period === 'DATES'
              ? { period, from: days?.from, to: days?.to }
              : { period, from: undefined, to: undefined },
          )
        }
      />
      <FieldFinding findings={findings} path="period" />
      {dates && (
        <div className="grid grid-cols-2 gap-3">
          <DateField
            label="First day"
            value={asked.from}
            onChange={(from) => change({ from })}
            path="from"
            findings={findings}
          />
          <DateField
            label="Last day"
            value={asked.to}
            onChange={(to) => change({ to })}
            path="to"
            findings={findings}
          />
        </div>
      )}
      <Choice
        label="For whom"
        value={asked.audience ?? 'COACH'}
        options={AUDIENCES}
        onChange={(audience) => change({ audience, named: undefined })}
      />
      <Ticks
        label="Parts (what was hard is always told)"
        value={PARTS.map(([id]) => id).filter((id) => !asked.left?.includes(id))}
        options={PARTS}
        onChange={(kept) => change({ left: PARTS.map(([id]) => id).filter((id) => !kept.includes(id)) })}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={named}
          onChange={(e) => change({ named: e.target.checked })}
        />
        With the client’s name
      </label>
    </>
  );
}
