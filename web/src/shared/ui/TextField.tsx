import { useId } from 'react';
import type { Finding } from '../api/client';
import { FieldFinding } from './Findings';

type Props = {
  label: string;
  value: string;
  onChange: (value: string) => void;
  path?: string;
  findings?: Finding[];
  type?: 'text' | 'password';
  autoComplete?: string;
  autoFocus?: boolean;
};

/** A line of text with its finding beside it. */
export function TextField({ label, value, onChange, path = '', findings = [], type = 'text', ...rest }: Props) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type={type}
        className="block w-full border-b-2 border-rule bg-transparent py-1 text-lg text-ink outline-none focus:border-ink"
        value={value}
        onChange={(e) => onChange(e.target.value)}
        {...rest}
      />
      <FieldFinding findings={findings} path={path} />
    </div>
  );
}
