import { number } from '../../shared/units';
import type { Finding, Schemas, Side } from '../../shared/api/client';
import { NumberField } from '../../shared/ui/NumberField';
import { BlockInspector } from '../../shared/blocks/BlockInspector';
import { useForms, type FormInfo } from '../../shared/blocks/useForms';

type Dose = Schemas['Dose'];
type Block = Schemas['BlockDraft'];

type Props = { side: Side; dose: Dose; setDose: (dose: Dose) => void; findings: Finding[] };

/** A side's dose: its angle, and its blocks one by one. */
export function BlockDose({ side, dose, setDose, findings }: Props) {
  const forms = useForms();
  if (!forms.data) return null;
  const list = side === 'RIGHT' ? 'right' : 'left';
  const set = (at: number, make: (block: Block) => Block) =>
    setDose({ ...dose, blocks: dose.blocks.map((b, i) => (i === at ? make(b) : b)) });
  return (
    <div className="space-y-4">
      <div className="max-w-40">
        <NumberField
          label="Working angle"
          unit="°"
          step={0.5}
          value={dose.angle}
          onChange={(v) => setDose({ ...dose, angle: v ?? 0 })}
          path={`angles.${side.toLowerCase()}`}
          findings={findings}
        />
      </div>
      {dose.blocks.map((block, i) => (
        <fieldset key={i} className="border-t border-rule pt-2">
          <legend className="pr-3 font-semibold">{nameOf(block, forms.data)}</legend>
          <BlockInspector
            block={block}
            place={`${list}[${i}]`}
            forms={forms.data}
            findings={findings}
            change={(_, make) => set(i, make)}
          />
        </fieldset>
      ))}
    </div>
  );
}

function nameOf(block: Block, forms: FormInfo[]): string {
  return forms.find((f) => f.form === block.form)?.words ?? '';
}

/** The blocks in words, those in rounds too. */
export function BlocksInWords({ blocks }: { blocks: Block[] }) {
  const forms = useForms();
  if (!forms.data) return null;
  return (
    <ul className="list-disc pl-5">
      {blocks.map((block, i) => (
        <li key={i}>
          <span className="text-ink">{nameOf(block, forms.data)}</span>: {numbers(block, forms.data)}
          {block.blocks.length > 0 && <BlocksInWords blocks={block.blocks} />}
        </li>
      ))}
    </ul>
  );
}

function numbers(block: Block, forms: FormInfo[]): string {
  const steps = block.steps.map((s) => s.effort).join(' · ');
  const parts = (forms.find((f) => f.form === block.form)?.parameters ?? [])
    .map((p) => ({ ...p, value: block.numbers[p.name] ?? p.usual }))
    .filter((p) => p.value !== 0)
    .map((p) => p.names[(p.value - p.least) / p.step] ?? `${p.label} ${number(p.value)}${p.unit ? ` ${p.unit}` : ''}`);
  return [...(steps ? [`${steps} %`] : []), ...parts].join(', ');
}
