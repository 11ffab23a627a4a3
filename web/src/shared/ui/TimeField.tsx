type Props = { label: string; value: string; onChange: (value: string) => void; hideLabel?: boolean };

/** A time on the wall's clock; an empty one is not taken. */
export function TimeField({ label, value, onChange, hideLabel = false }: Props) {
  return (
    <label className="block text-sm text-soft">
      <span className={hideLabel ? 'sr-only' : undefined}>{label}</span>
      <input
        type="time"
        className="block w-full border-b-2 border-rule bg-transparent py-1.5 text-base text-ink outline-none focus:border-ink"
        value={value.slice(0, 5)}
        onChange={(e) => e.target.value && onChange(e.target.value)}
      />
    </label>
  );
}
