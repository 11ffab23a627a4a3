import { ToggleGroup } from 'radix-ui';

type Props<T extends string> = {
  label: string;
  value: T[];
  options: readonly (readonly [T, string])[];
  onChange: (value: T[]) => void;
};

/** Any of some, all visible. */
export function Ticks<T extends string>({ label, value, options, onChange }: Props<T>) {
  return (
    <div>
      <span className="block text-sm text-soft">{label}</span>
      <ToggleGroup.Root
        type="multiple"
        aria-label={label}
        className="mt-1 flex flex-wrap gap-1"
        value={value}
        onValueChange={(v) => onChange(v as T[])}
      >
        {options.map(([id, text]) => (
          <ToggleGroup.Item
            key={id}
            value={id}
            className="min-h-11 border border-rule px-3 hover:bg-tread data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:font-semibold data-[state=on]:text-paper"
          >
            {text}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
