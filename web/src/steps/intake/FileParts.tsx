import { useCalendar } from '../../shared/useCalendar';
import { useCatalogue } from '../../shared/ui/useCatalogue';
import { Choice } from '../../shared/ui/Choice';
import { DateField } from '../../shared/ui/DateField';
import { NumberField } from '../../shared/ui/NumberField';
import { TextField } from '../../shared/ui/TextField';
import { Ticks } from '../../shared/ui/Ticks';
import type { Details, PartProps } from './file';

export function Name({ details: d, set, findings }: PartProps) {
  return (
    <TextField
      label="Name"
      value={d.name}
      onChange={(name) => set({ name })}
      path="name"
      findings={findings}
      autoFocus={d.name === ''}
    />
  );
}

export function Goal({ details: d, set, findings }: PartProps) {
  return (
    <TextField
      label="Goal, in the client's words"
      value={d.goal}
      onChange={(goal) => set({ goal })}
      path="goal"
      findings={findings}
    />
  );
}

export function History({ details: d, set, findings }: PartProps) {
  return (
    <TextField
      label="History: what was, what was tried, what helped"
      value={d.history}
      onChange={(history) => set({ history })}
      path="history"
      findings={findings}
    />
  );
}

/** Whose tables the ranges are held against. */
export function Person({ details: d, set, findings }: PartProps) {
  return (
    <div className="grid gap-5 sm:grid-cols-2">
      <DateField
        label="Born"
        value={d.birthDate}
        onChange={(birthDate) => set({ birthDate })}
        path="birthDate"
        findings={findings}
      />
      <Choice
        label="For the tables of usual ranges"
        value={d.sex ?? 'open'}
        onChange={(sex) => set({ sex: sex === 'open' ? undefined : sex })}
        options={[
          ['open', 'open'],
          ['female', 'female'],
          ['male', 'male'],
        ]}
      />
    </div>
  );
}

const DAYS: readonly (readonly [Details['days'][number], string])[] = [
  ['MONDAY', 'Mon'],
  ['TUESDAY', 'Tue'],
  ['WEDNESDAY', 'Wed'],
  ['THURSDAY', 'Thu'],
  ['FRIDAY', 'Fri'],
  ['SATURDAY', 'Sat'],
  ['SUNDAY', 'Sun'],
];

/** Of a new client; from then on the calendar says it. */
export function Time({ details: d, set, findings }: PartProps) {
  return (
    <div className="flex flex-wrap items-end gap-6">
      <div className="w-44">
        <NumberField
          label="Minutes for a session"
          unit="min"
          value={d.minutes ?? null}
          onChange={(v) => set({ minutes: v ?? undefined })}
          path="minutes"
          findings={findings}
        />
      </div>
      <Ticks label="Days with time" options={DAYS} value={d.days} onChange={(days) => set({ days })} />
    </div>
  );
}

/** The calendar says when; here it is only read. */
export function TimeInShort({ clientId }: { clientId: string }) {
  const calendar = useCalendar(clientId);
  if (!calendar.data) return null;
  const days = calendar.data.usual.days.flatMap((day, n) =>
    day.minutes > 0 ? [`${DAYS[n]?.[1]} ${day.minutes}`] : [],
  );
  return <p>{days.length > 0 ? `${days.join(', ')} min` : 'No time on any day.'}</p>;
}

export function Equipment({ details: d, set }: PartProps) {
  const catalogue = useCatalogue();
  return (
    <Ticks
      label="Equipment at hand"
      options={(catalogue.data?.equipment ?? []).map((e) => [e.id, e.name] as const)}
      value={d.equipment}
      onChange={(equipment) => set({ equipment })}
    />
  );
}

const LENGTHS: [keyof Details['lengths'], string][] = [
  ['shank', 'Shank: knee to ankle bone'],
  ['leg', 'Leg: outer hip bone to ankle bone'],
  ['thigh', 'Thigh: outer hip bone to knee'],
  ['toeToAnkle', 'Foot: tip of the toes to ankle bone'],
  ['hipCentres', 'Between the hip joints'],
];

/** What tape formulas need; measured once. */
export function Lengths({ details: d, set, findings }: PartProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">For measuring with the tape</legend>
      <p className="mb-3 text-sm text-soft">
        Leave open what was not measured: shank, leg and thigh are then taken from the stature, good to 5 %.
      </p>
      <div className="grid gap-5 sm:grid-cols-2">
        <NumberField
          label="Stature"
          unit="cm"
          value={d.statureCm ?? null}
          onChange={(v) => set({ statureCm: v ?? undefined })}
          path="statureCm"
          findings={findings}
        />
        <NumberField
          label="Weight"
          unit="kg"
          value={d.massKg ?? null}
          onChange={(v) => set({ massKg: v ?? undefined })}
          path="massKg"
          findings={findings}
        />
        {LENGTHS.map(([key, label]) => (
          <NumberField
            key={key}
            label={label}
            unit="cm"
            step={0.5}
            value={d.lengths[key] ?? null}
            onChange={(v) => set({ lengths: { ...d.lengths, [key]: v ?? undefined } })}
            path={`lengths.${key}`}
            findings={findings}
          />
        ))}
        <NumberField
          label="Blocks stack in"
          unit="cm"
          step={0.5}
          value={d.blockStepCm}
          onChange={(v) => set({ blockStepCm: v ?? 0 })}
          path="blockStepCm"
          findings={findings}
        />
      </div>
    </fieldset>
  );
}
