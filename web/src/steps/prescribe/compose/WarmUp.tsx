import type { Finding } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { NumberField } from '../../../shared/ui/NumberField';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { setNumber, type Block, type Draft } from './edit';

type Props = { draft: Draft; findings: Finding[]; change: (key: string | null, make: (d: Draft) => Draft) => void };

/** Controlled rotations before the lines, a row a joint. */
export function WarmUp({ draft, findings, change }: Props) {
  const catalogue = useCatalogue();
  const joints = [...new Set(catalogue.data?.motions.map((m) => m.joint))];
  const set = (i: number, make: (b: Block) => Block) => (d: Draft) => ({
    ...d,
    warmUp: d.warmUp.map((b, j) => (i === j ? make(b) : b)),
  });
  const add = (joint: string) =>
    change(null, (d) => ({
      ...d,
      warmUp: [
        ...d.warmUp,
        {
          form: 'CONTROLLED_ROTATION',
          numbers: { repetitions: 3, seconds: 6 },
          words: { joint },
          steps: [],
          blocks: [],
        },
      ],
    }));
  return (
    <section className="mt-6" aria-label="Warm-up">
      <h2 className="mb-2 text-xl font-bold">
        Warm-up <span className="font-normal text-soft">· controlled rotations</span>
      </h2>
      <ul className="flex flex-wrap gap-x-8 gap-y-3">
        {draft.warmUp.map((block, i) => (
          <li key={i} className="flex flex-wrap items-end gap-3">
            <span className="w-20 pb-2 font-semibold">{block.words['joint'] ?? 'joint'}</span>
            {(['repetitions', 'seconds'] as const).map((name) => (
              <div key={name} className="w-24">
                <NumberField
                  label={name === 'seconds' ? 'A circle' : 'Each way'}
                  unit={name === 'seconds' ? 's' : ''}
                  value={block.numbers[name] ?? null}
                  onChange={(v) => change(`warm-${i}-${name}`, set(i, setNumber(name, v ?? 0)))}
                  path={`warmUp[${i}].numbers.${name}`}
                  findings={findings}
                />
              </div>
            ))}
            <Button
              aria-label={`Take the ${block.words['joint'] ?? 'joint'} out of the warm-up`}
              onClick={() => change(null, (d) => ({ ...d, warmUp: d.warmUp.filter((_, j) => j !== i) }))}
            >
              ✕
            </Button>
          </li>
        ))}
        <li className="self-end">
          <select
            aria-label="Add a joint to the warm-up"
            className="min-h-11 border border-rule bg-card px-2 font-semibold"
            value=""
            onChange={(e) => e.target.value && add(e.target.value)}
          >
            <option value="">Add a joint…</option>
            {joints.map((j) => (
              <option key={j} value={j}>
                {j}
              </option>
            ))}
          </select>
        </li>
      </ul>
    </section>
  );
}
