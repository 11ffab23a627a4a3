import { ToggleGroup } from 'radix-ui';

type Props<T extends string> = {
  label: string;
  value: T | null;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
};

/** One of a few, all visible. */
export function Choice<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <div>
      <span className="block text-sm text-soft">{label}</span>
      <ToggleGroup.Root
        type="single"
        aria-label={label}
        className="mt-1 inline-flex flex-wrap border border-rule"
        value={value ?? ''}
        onValueChange={(v) => v && onChange(v as T)}
      >
        {options.map(([id, text]) => (
          <ToggleGroup.Item
            key={id}
            value={id}
            className="min-h-11 border-r border-rule px-3 last:border-r-0 hover:bg-tread data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-paper"
          >
            {text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
