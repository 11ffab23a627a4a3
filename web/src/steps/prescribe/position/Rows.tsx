import type { Finding, Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { FieldFinding } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { TextField } from '../../../shared/ui/TextField';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import type { Hint } from './own';

type Pair = Schemas['Pair'];
type RowsProps<T> = { title: string; path: string; rows: T[]; findings: Finding[]; change: (rows: T[]) => void };

const at = <T,>(rows: T[], i: number, row: T) => rows.map((old, n) => (n === i ? row : old));

/** A thing and what it leads to: a prop and its effect, a fault and its fix. */
export function Pairs({ title, then, ...rest }: RowsProps<Pair> & { then: string }) {
  const { rows, findings, path, change } = rest;
  return (
    <fieldset>
      <legend className="font-semibold">{title}</legend>
      <FieldFinding findings={findings} path={path} />
      {rows.map((row, i) => (
        <div key={i} className="flex items-start gap-3">
          <div className="grid flex-1 gap-3 sm:grid-cols-2">
            <TextField
              label="What"
              value={row.what}
              onChange={(what) => change(at(rows, i, { ...row, what }))}
              path={`${path}[${i}].what`}
              findings={findings}
            />
            <TextField
              label={then}
              value={row.then}
              onChange={(next) => change(at(rows, i, { ...row, then: next }))}
              path={`${path}[${i}].then`}
              findings={findings}
            />
          </div>
          <Button onClick={() => change(rows.filter((_, n) => n !== i))}>Remove</Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => change([...rows, { what: '', then: '' }])}>
        Add one
      </Button>
    </fieldset>
  );
}

const TAKES: [Hint['take'], string, string][] = [
  ['SET_UP', 'set-up, in words', 'cm'],
  ['POSITION', 'another position', ''],
  ['ANGLE', 'angle', '°'],
  ['BENCH', 'bench height', 'cm'],
  ['STRAP', 'strap mark', ''],
  ['BAND', 'length of the band', 'cm'],
  ['EFFORT', 'effort', '%'],
  ['HOLD', 'seconds held', 's'],
  ['TEMPO', 'seconds a movement', 's'],
  ['PAUSE', 'pause at the end', 's'],
  ['LOAD', 'load', 'kg'],
];

/** Ways to make it easier or harder: each leads to another position, changes a number or is said in the set-up. */
export function Hints({ title, path, rows, findings, change, motions }: RowsProps<Hint> & { motions: string[] }) {
  const positions = useCatalogue().data?.positions.filter((p) => p.motions.some((m) => motions.includes(m))) ?? [];
  return (
    <fieldset>
      <legend className="font-semibold">{title}</legend>
      <FieldFinding findings={findings} path={path} />
      {rows.map((row, i) => (
        <div key={i} className="flex items-start gap-3">
          <div className="grid flex-1 gap-3 sm:grid-cols-3">
            <TextField
              label="As you say it"
              value={row.words}
              onChange={(words) => change(at(rows, i, { ...row, words }))}
              path={`${path}[${i}].words`}
              findings={findings}
            />
            <label className="text-sm text-soft">
              It changes
              <select
                className="mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink"
                value={row.take}
                onChange={(e) => {
                  const take = TAKES.find(([id]) => id === e.target.value)?.[0] ?? 'SET_UP';
                  change(at(rows, i, { ...row, take, position: '', by: 0 }));
                }}
              >
                {TAKES.map(([id, name]) => (
                  <option key={id} value={id}>
                    {name}
                  </option>
                ))}
              </select>
            </label>
            {row.take === 'POSITION' ? (
              <label className="text-sm text-soft">
                Which
                <select
                  className="mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink"
                  value={row.position}
                  onChange={(e) => change(at(rows, i, { ...row, position: e.target.value }))}
                >
                  <option value="">pick one</option>
                  {positions.map((p) => (
                    <option key={p.id} value={p.id}>
                      {p.name}
                    </option>
                  ))}
                </select>
                <FieldFinding findings={findings} path={`${path}[${i}].position`} />
              </label>
            ) : (
              <NumberField
                label={row.take === 'SET_UP' ? 'Height, 0 for none' : 'By'}
                unit={TAKES.find(([id]) => id === row.take)?.[2] ?? ''}
                value={row.by}
                onChange={(by) => change(at(rows, i, { ...row, by: by ?? 0 }))}
              />
            )}
          </div>
          <Button onClick={() => change(rows.filter((_, n) => n !== i))}>Remove</Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => change([...rows, { words: '', take: 'SET_UP', position: '', by: 0 }])}>
        Add one
      </Button>
    </fieldset>
  );
}
