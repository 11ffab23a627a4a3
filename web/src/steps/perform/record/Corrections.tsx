import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../../shared/api/client';
import { words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Failure, OtherFindings } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { Sheet } from '../../../shared/ui/Sheet';
import { TextField } from '../../../shared/ui/TextField';
import { usedWords } from '../setUp';

type Block = Schemas['BlockRecord'];
/** What people call each block, by its id. */
type Labels = Schemas['Floor']['labels'];

/** Findings that stand beside a field of the sheet. */
const SHOWN = /^block\.(phases\[\d+\]\.doneSeconds|effortRating|cramps|prop\.(angle|stack))$/;

/** Every block as it is in the record, each open to a correction; what was there before is kept. */
export function Corrections({ runId, labels }: { runId: string; labels: Labels }) {
  const blocks = useQuery({
    queryKey: ['blocks', runId],
    queryFn: () => ask(api.GET('/api/runs/{runId}/blocks', { params: { path: { runId } } })),
  });
  const [chosen, choose] = useState<Block | null>(null);
  if (!blocks.data || blocks.data.length === 0) return null;
  return (
    <details className="mt-8">
      <summary className="cursor-pointer text-xl font-bold">Block by block, and corrections</summary>
      <ul className="mt-2 grid gap-x-8 lg:grid-cols-2">
        {blocks.data.map((b) => (
          <li key={b.blockId} className="flex items-center gap-3 border-t border-rule py-1">
            <span className="grow">
              {title(b, labels)} <span className="text-soft">{saying(b)}</span>
            </span>
            <Button className="text-sm" onClick={() => choose(b)}>
              Correct
            </Button>
          </li>
        ))}
      </ul>
      {chosen && (
        <Correction
          key={chosen.blockId}
          runId={runId}
          title={title(chosen, labels)}
          block={chosen}
          close={() => choose(null)}
        />
      )}
    </details>
  );
}

function title(b: Block, labels: Labels): string {
  return `${words(b.side)} ${labels[b.blockId] ?? ''}`;
}

function saying(b: Block): string {
  const done = b.phases.reduce((sum, p) => sum + p.doneSeconds, 0);
  const planned = b.phases.reduce((sum, p) => sum + p.plannedSeconds, 0);
  const pain = Math.max(0, ...b.pains.map((p) => p.score));
  return [
    `${Math.round(done)} of ${Math.round(planned)} s`,
    b.effortRating === undefined ? '' : `effort ${b.effortRating}`,
    pain > 0 && !b.skippedBecause?.startsWith('pain') ? `pain ${pain}` : '',
    b.faults.length > 0 ? `faults ${b.faults.length}` : '',
    b.cramps > 0 ? `cramps ${b.cramps}` : '',
    b.effortMissed ? 'too hard' : '',
    b.prop ? `at ${usedWords(b.prop)}` : '',
    b.skippedBecause ?? '',
    b.note,
  ]
    .filter(Boolean)
    .join(' · ');
}

type CorrectionProps = { runId: string; title: string; block: Block; close: () => void };

function Correction({ runId, title, block, close }: CorrectionProps) {
  const queries = useQueryClient();
  const [now, set] = useState(block);
  const keep = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/runs/{runId}/blocks', {
          params: { path: { runId } },
          body: { id: newId(), block: now },
        }),
      ),
    onSuccess: () => {
      close();
      return queries.invalidateQueries();
    },
  });
  const findings = findingsOf(keep.error);
  const change = (part: Partial<Block>) => set({ ...now, ...part });
  return (
    <Sheet open onOpenChange={(open) => !open && close()} title={`Correct: ${title}`}>
      <div className="space-y-4">
        <div className="flex flex-wrap gap-3">
          {now.phases.map((p, i) => (
            <div key={i} className="w-32">
              <NumberField
                label={`${words(p.kind)}, of ${p.plannedSeconds} s`}
                unit="s"
                value={p.doneSeconds}
                onChange={(v) =>
                  change({ phases: now.phases.map((q, j) => (i === j ? { ...q, doneSeconds: v ?? 0 } : q)) })
                }
                path={`block.phases[${i}].doneSeconds`}
                findings={findings}
              />
            </div>
          ))}
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-32">
            <NumberField
              label="Effort, 0 to 10"
              value={now.effortRating ?? null}
              onChange={(v) => change({ effortRating: v ?? undefined })}
              path="block.effortRating"
              findings={findings}
            />
          </div>
          <div className="w-24">
            <NumberField
              label="Cramps"
              value={now.cramps}
              onChange={(v) => change({ cramps: v ?? 0 })}
              path="block.cramps"
              findings={findings}
            />
          </div>
          <div className="w-32">
            <NumberField
              label="Angle, if another"
              unit="°"
              value={now.prop?.angle ?? null}
              onChange={(v) => change({ prop: v === null ? undefined : { ...now.prop, angle: v } })}
              path="block.prop.angle"
              findings={findings}
            />
          </div>
          {now.prop && (
            <div className="w-32">
              <NumberField
                label="Height"
                unit="cm"
                value={now.prop.stack ?? null}
                onChange={(v) => change({ prop: now.prop && { ...now.prop, stack: v ?? undefined } })}
                path="block.prop.stack"
                findings={findings}
              />
            </div>
          )}
          <label className="flex min-h-11 items-center gap-2">
            <input
              type="checkbox"
              checked={now.effortMissed}
              onChange={(e) => change({ effortMissed: e.target.checked })}
            />
            could not reach the effort
          </label>
        </div>
        <Listed
          label="Pain"
          items={now.pains.map((p) => `${p.score}/10, ${words(p.kind)}${p.where ? `, ${p.where}` : ''}`)}
          remove={(i) => change({ pains: now.pains.filter((_, j) => j !== i) })}
        />
        <Listed
          label="Faults"
          items={now.faults}
          remove={(i) => change({ faults: now.faults.filter((_, j) => j !== i) })}
        />
        <TextField label="Note" value={now.note} onChange={(note) => change({ note })} />
        <OtherFindings findings={findings} shown={(path) => SHOWN.test(path)} />
        <Failure error={findings.length > 0 ? null : keep.error} />
        <p className="text-sm text-soft">What was recorded before stays in the record beneath this.</p>
        <Button
          look="main"
          className="min-h-14 w-full text-xl"
          disabled={keep.isPending || now === block}
          onClick={() => keep.mutate()}
        >
          Save the correction
        </Button>
      </div>
    </Sheet>
  );
}

function Listed({ label, items, remove }: { label: string; items: string[]; remove: (index: number) => void }) {
  if (items.length === 0) return null;
  return (
    <div>
      <span className="text-sm text-soft">{label}</span>
      <ul>
        {items.map((item, i) => (
          <li key={i} className="flex items-center gap-3">
            <span className="grow">{item}</span>
            <Button className="text-sm" onClick={() => remove(i)}>
              Was a mistake
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}
