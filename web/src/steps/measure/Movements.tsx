import { useState } from 'react';
import type { Schemas } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Choice } from '../../shared/ui/Choice';

type Movement = Schemas['MovementTest'];

const USUAL: Movement[] = [
  { name: 'deep squat', unit: 'GRADE', higherIsBetter: true },
  { name: 'squat depth, heels down', unit: 'CENTIMETRE', higherIsBetter: false },
  { name: 'kick height', unit: 'CENTIMETRE', higherIsBetter: true },
];

type Props = { movements: Movement[]; setMovements: (m: Movement[]) => void };

/** Movements to look at before and after: graded 0 to 10, or a length. */
export function Movements({ movements, setMovements }: Props) {
  const [name, setName] = useState('');
  const [unit, setUnit] = useState<Movement['unit']>('GRADE');
  const add = (m: Movement) => setMovements([...movements.filter((x) => x.name !== m.name), m]);
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Movements to look at before and after</legend>
      <ul className="mb-2 flex flex-wrap gap-2">
        {movements.map((m) => (
          <li key={m.name} className="flex items-center gap-2 border border-ink px-3 py-1">
            {m.name}, {m.unit === 'GRADE' ? '0 to 10' : 'cm'}
            <button
              type="button"
              aria-label={`Remove ${m.name}`}
              onClick={() => setMovements(movements.filter((x) => x !== m))}
            >
              ✕
            </button>
          </li>
        ))}
        {USUAL.filter((u) => !movements.some((m) => m.name === u.name)).map((u) => (
          <li key={u.name}>
            <button
              type="button"
              className="border border-rule bg-card px-3 py-1 hover:bg-tread"
              onClick={() => add(u)}
            >
              + {u.name}
            </button>
          </li>
        ))}
      </ul>
      <div className="flex flex-wrap items-end gap-3">
        <label className="text-sm text-soft">
          Another one
          <input
            className="block min-h-11 border-b-2 border-rule bg-transparent text-ink outline-none focus:border-ink"
            value={name}
            onChange={(e) => setName(e.target.value)}
          />
        </label>
        <Choice
          label="Told by"
          value={unit}
          onChange={setUnit}
          options={[
            ['GRADE', '0 to 10'],
            ['CENTIMETRE', 'cm'],
          ]}
        />
        <Button
          disabled={name.trim() === ''}
          onClick={() => {
            add({ name: name.trim(), unit, higherIsBetter: true });
            setName('');
          }}
        >
          Add
        </Button>
      </div>
    </fieldset>
  );
}
