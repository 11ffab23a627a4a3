type Props = {
  label: string;
  value: number | null | undefined;
  onChange: (value: number) => void;
  look?: string;
};

/** 0 to 10, all in one row: how hard, how sore, how much pain. */
export function Scale({ label, value, onChange, look = '' }: Props) {
  return (
    <div className={`grid grow grid-cols-11 ${look}`} role="radiogroup" aria-label={label}>
      {Array.from({ length: 11 }, (_, n) => (
        <button
          key={n}
          type="button"
          role="radio"
          aria-checked={value === n}
          className={`min-h-11 border border-rule ${value === n ? 'bg-ink font-bold text-paper' : 'bg-card hover:bg-tread'}`}
          onClick={() => onChange(n)}
        >
          {n}
        </button>
      ))}
    </div>
  );
}
