type Props = {
  label: string;
  value: string;
  options: readonly (readonly [string, string, ...string[]])[];
  pick: (value: string) => void;
};

/** One of a list, with its name over it. */
export function Pick({ label, value, options, pick }: Props) {
  return (
    <label className="text-sm text-soft">
      {label}
      <select
        className="mt-1 block min-h-11 w-full border border-rule bg-card px-2 text-ink"
        value={value}
        onChange={(e) => pick(e.target.value)}
      >
        {options.map(([id, name]) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}
