import { useId } from 'react';
import type { Finding } from '../api/client';
import { Button } from '../ui/Button';
import { FieldFinding } from '../ui/Findings';
import { NumberField } from '../ui/NumberField';
import { Pick } from '../ui/Pick';
import { setNumber, setStep, setWord, type Block } from './block';
import type { FormInfo } from './useForms';

type Props = {
  block: Block;
  place: string;
  forms: FormInfo[];
  findings: Finding[];
  change: (key: string, make: (block: Block) => Block) => void;
};

/** Every number and word of one block; arrows step, with Shift five steps. */
export function BlockInspector({ block, place, forms, findings, change }: Props) {
  const info = forms.find((f) => f.form === block.form);
  if (!info) return null;
  return (
    <div>
      <div className="grid grid-cols-2 gap-x-4 gap-y-3 sm:grid-cols-3">
        {info.parameters.map((p) => (
          <Parameter key={p.name} p={p} block={block} place={place} findings={findings} change={change} />
        ))}
        {info.said.map((word) => (
          <Word key={word.name} word={word} block={block} place={place} findings={findings} change={change} />
        ))}
      </div>
      {info.usual.steps.length > 0 && <Steps block={block} place={place} findings={findings} change={change} />}
      {block.form === 'GROUP' && (
        <Inside block={block} place={place} forms={forms} findings={findings} change={change} />
      )}
      <FieldFinding findings={findings} path={place} />
    </div>
  );
}

type ParameterProps = Omit<Props, 'forms'> & { p: FormInfo['parameters'][number] };

/** One of its numbers: picked by name where it has only a few values. */
function Parameter({ p, block, place, findings, change }: ParameterProps) {
  const label = p.label[0]?.toUpperCase() + p.label.slice(1);
  const value = block.numbers[p.name] ?? p.usual;
  const set = (to: number | null) => change(`${place}.${p.name}`, setNumber(p.name, to ?? 0));
  const path = `${place}.numbers.${p.name}`;
  if (p.names.length === 0) {
    return (
      <NumberField
        label={label}
        unit={p.unit}
        step={p.step}
        value={value}
        onChange={set}
        path={path}
        findings={findings}
      />
    );
  }
  return (
    <div>
      <Pick
        label={label}
        value={String(value)}
        options={p.names.map((name, i) => [String(p.least + i * p.step), name])}
        pick={(to) => set(Number(to))}
      />
      <FieldFinding findings={findings} path={path} />
    </div>
  );
}

type WordProps = Omit<Props, 'forms'> & { word: FormInfo['said'][number] };

/** One of its words: picked where nothing else can be, else typed, with what it usually is at hand. */
function Word({ word, block, place, findings, change }: WordProps) {
  const id = useId();
  const value = block.words[word.name] ?? '';
  const set = (to: string) => change(`${place}.${word.name}`, setWord(word.name, to));
  return (
    <div>
      {word.only ? (
        <Pick
          label={word.label}
          value={value || (word.choices[0]?.value ?? '')}
          options={word.choices.map((choice) => [choice.value, choice.text])}
          pick={set}
        />
      ) : (
        <label className="text-sm text-soft">
          {word.label}
          <input
            className="mt-1 block w-full border-b-2 border-rule bg-transparent py-1 text-base text-ink focus:border-ink"
            value={value}
            maxLength={200}
            list={word.choices.length > 0 ? id : undefined}
            onChange={(e) => set(e.target.value)}
          />
        </label>
      )}
      {!word.only && word.choices.length > 0 && (
        <datalist id={id}>
          {word.choices.map((choice) => (
            <option key={choice.value} value={choice.value} />
          ))}
        </datalist>
      )}
      <FieldFinding findings={findings} path={`${place}.words.${word.name}`} />
    </div>
  );
}

function Steps({ block, place, findings, change }: Omit<Props, 'forms'>) {
  const last = block.steps[block.steps.length - 1];
  const add = { effort: Math.min(100, (last?.effort ?? 0) + 20), seconds: last?.seconds ?? 5 };
  return (
    <fieldset className="mt-4">
      <legend className="text-sm text-soft">Steps of effort</legend>
      <ol className="flex flex-wrap items-start gap-3">
        {block.steps.map((step, i) => (
          <li key={i} className="w-24">
            <NumberField
              label={`Step ${i + 1}, effort`}
              unit="%"
              step={5}
              value={step.effort}
              onChange={(v) => change(`${place}.steps${i}`, setStep(i, { effort: v ?? 0 }))}
              path={`${place}.steps[${i}].effort`}
              findings={findings}
            />
            <NumberField
              label={`Step ${i + 1}, seconds`}
              hideLabel
              unit="s"
              value={step.seconds}
              onChange={(v) => change(`${place}.seconds${i}`, setStep(i, { seconds: v ?? 0 }))}
              path={`${place}.steps[${i}].seconds`}
              findings={findings}
            />
          </li>
        ))}
        <li className="flex gap-2 self-center">
          <Button
            aria-label="Another step"
            disabled={block.steps.length >= 12}
            onClick={() => change('', (b) => ({ ...b, steps: [...b.steps, add] }))}
          >
            +
          </Button>
          <Button
            aria-label="One step fewer"
            disabled={block.steps.length <= 1}
            onClick={() => change('', (b) => ({ ...b, steps: b.steps.slice(0, -1) }))}
          >
            −
          </Button>
        </li>
      </ol>
      <FieldFinding findings={findings} path={`${place}.steps`} />
    </fieldset>
  );
}

/** What a round is made of. */
function Inside({ block, place, forms, findings, change }: Props) {
  const set = (i: number, make: (b: Block) => Block) => (group: Block) => ({
    ...group,
    blocks: group.blocks.map((b, j) => (i === j ? make(b) : b)),
  });
  return (
    <div className="mt-4 space-y-4 border-l-4 border-rule pl-4">
      {block.blocks.map((inner, i) => (
        <section key={i} aria-label={forms.find((f) => f.form === inner.form)?.words}>
          <div className="mb-1 flex items-center justify-between gap-2">
            <h4 className="font-semibold">{forms.find((f) => f.form === inner.form)?.words}</h4>
            <Button
              className="min-h-8! px-2! py-0!"
              onClick={() => change('', (g) => ({ ...g, blocks: g.blocks.filter((_, j) => j !== i) }))}
            >
              Remove
            </Button>
          </div>
          <BlockInspector
            block={inner}
            place={`${place}.blocks[${i}]`}
            forms={forms}
            findings={findings}
            change={(key, make) => change(key, set(i, make))}
          />
        </section>
      ))}
      <AddBlock
        forms={forms}
        add={(b) => change('', (g) => ({ ...g, blocks: [...g.blocks, b] }))}
        label="Add to the round"
      />
      <FieldFinding findings={findings} path={`${place}.blocks`} />
    </div>
  );
}

export function AddBlock({ forms, add, label }: { forms: FormInfo[]; add: (block: Block) => void; label: string }) {
  return (
    <select
      aria-label={label}
      className="min-h-11 max-w-full border border-rule bg-card px-2 font-semibold"
      value=""
      onChange={(e) => {
        const info = forms.find((f) => f.form === e.target.value);
        if (info) add(info.usual);
      }}
    >
      <option value="">{label}…</option>
      {forms.map((f) => (
        <option key={f.form} value={f.form}>
          {f.words}
        </option>
      ))}
    </select>
  );
}
