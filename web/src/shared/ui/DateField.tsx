import type { Finding } from '../api/client';
import { FieldFinding } from './Findings';

type Props = {
  label: string;
  value: string | undefined;
  onChange: (value: string | undefined) => void;
  path?: string;
  findings?: Finding[];
};

/** A day of the calendar with its finding beside it. */
export function DateField({ label, value, onChange, path = '', findings = [] }: Props) {
  return (
    <div>
      <label className="block text-sm text-soft">
        {label}
        <input
          type="date"
          className="block w-full border-b-2 border-rule bg-transparent py-1.5 text-base text-ink outline-none focus:border-ink"
          value={value ?? ''}
          onChange={(e) => onChange(e.target.value || undefined)}
        />
      </label>
      <FieldFinding findings={findings} path={path} />
    </div>
  );
}
