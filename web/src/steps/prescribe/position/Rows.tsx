import type { ReactNode } from 'react';
import type { Finding, Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { FieldFinding } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { TextField } from '../../../shared/ui/TextField';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import type { Hint } from './own';
import { Pick } from '../../../shared/ui/Pick';

type Pair = Schemas['Pair'];
type RowsProps<T> = { title: string; path: string; rows: T[]; findings: Finding[]; change: (rows: T[]) => void };
type ListProps<T> = RowsProps<T> & {
  blank: T;
  columns: string;
  row: (row: T, put: (part: Partial<T>) => void, path: string) => ReactNode;
};

/** Rows of a list, each to be changed or removed, and one more. */
function RowList<T extends object>({ title, path, rows, findings, change, blank, columns, row }: ListProps<T>) {
  return (
    <fieldset>
      <legend className="font-semibold">{title}</legend>
      <FieldFinding findings={findings} path={path} />
      {rows.map((one, i) => (
        <div key={i} className="flex items-start gap-3">
          <div className={`grid flex-1 gap-3 ${columns}`}>
            {row(one, (part) => change(rows.map((r, n) => (n === i ? { ...r, ...part } : r))), `${path}[${i}]`)}
          </div>
          <Button onClick={() => change(rows.filter((_, n) => n !== i))}>Remove</Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => change([...rows, blank])}>
        Add one
      </Button>
    </fieldset>
  );
}

/** A thing and what it leads to: a prop and its effect, a fault and its fix. */
export function Pairs({ then, ...list }: RowsProps<Pair> & { then: string }) {
  const { findings } = list;
  return (
    <RowList
      {...list}
      blank={{ what: '', then: '' }}
      columns="sm:grid-cols-2"
      row={(pair, put, path) => (
        <>
          <TextField
            label="What"
            value={pair.what}
            onChange={(what) => put({ what })}
            path={`${path}.what`}
            findings={findings}
          />
          <TextField
            label={then}
            value={pair.then}
            onChange={(next) => put({ then: next })}
            path={`${path}.then`}
            findings={findings}
          />
        </>
      )}
    />
  );
}

const TAKES: [Hint['take'], string, string][] = [
  ['SET_UP', 'set-up, in words', 'cm'],
  ['DEEPER', 'set-up that goes deeper', 'cm'],
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
export function Hints({ motions, ...list }: RowsProps<Hint> & { motions: string[] }) {
  const positions = useCatalogue().data?.positions.filter((p) => p.motions.some((m) => motions.includes(m))) ?? [];
  const { findings } = list;
  return (
    <RowList
      {...list}
      blank={{ words: '', take: 'SET_UP', position: '', by: 0 }}
      columns="sm:grid-cols-3"
      row={(hint, put, path) => (
        <>
          <TextField
            label="As you say it"
            value={hint.words}
            onChange={(words) => put({ words })}
            path={`${path}.words`}
            findings={findings}
          />
          <Pick
            label="It changes"
            value={hint.take}
            options={TAKES}
            pick={(id) => put({ take: TAKES.find(([take]) => take === id)?.[0] ?? 'SET_UP', position: '', by: 0 })}
          />
          {hint.take === 'POSITION' ? (
            <div>
              <Pick
                label="Which"
                value={hint.position}
                options={[['', 'pick one'], ...positions.map((p) => [p.id, p.name] as const)]}
                pick={(position) => put({ position })}
              />
              <FieldFinding findings={findings} path={`${path}.position`} />
            </div>
          ) : (
            <NumberField
              label={hint.take === 'SET_UP' || hint.take === 'DEEPER' ? 'Height, 0 for none' : 'By'}
              unit={TAKES.find(([id]) => id === hint.take)?.[2] ?? ''}
              value={hint.by}
              onChange={(by) => put({ by: by ?? 0 })}
            />
          )}
        </>
      )}
    />
  );
}
