import { useId, useState, type KeyboardEvent } from 'react';
import type { Finding } from '../api/client';
import { read, shownAs, cannotRead } from '../typed';
import { number } from '../units';
import { FieldFinding } from './Findings';

type Props = {
  label: string;
  value: number | null;
  onChange: (value: number | null) => void;
  unit?: string;
  step?: number;
  path?: string;
  findings?: Finding[];
  wide?: boolean;
  autoFocus?: boolean;
  onEnter?: () => void;
  name?: string;
  hideLabel?: boolean;
  decimals?: number;
};

/** Keeps what was typed, whatever it is; arrows step, with Shift five steps. */
export function NumberField(props: Props) {
  const { label, value, onChange, unit = '', step = 1, path = '', findings = [], decimals = 2 } = props;
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const { unit: shownUnit, factor } = shownAs(unit);
  const shown = typed ?? (value === null ? '' : number(value / factor, decimals));
  const unreadable = typed !== null && typed.trim() !== '' && read(typed, unit) === null;

  const take = (text: string) => {
    setTyped(text);
    if (text.trim() === '') onChange(null);
    const taken = read(text, unit);
    if (taken !== null) onChange(taken);
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'Enter' && !event.ctrlKey && props.onEnter) {
      event.preventDefault();
      props.onEnter();
    }
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const by = step * (event.shiftKey ? 5 : 1) * (event.key === 'ArrowUp' ? 1 : -1);
    setTyped(null);
    onChange(Number((Number(((value ?? 0) / factor + by).toFixed(decimals)) * factor).toFixed(6)));
  };
  return (
    <div className={props.wide ? 'col-span-full' : ''}>
      <label htmlFor={id} className={props.hideLabel ? 'sr-only' : 'block text-sm text-soft'}>
        {label}
      </label>
      <span className="flex items-baseline gap-1 border-b-2 border-rule focus-within:border-ink">
        <input
          id={id}
          name={props.name}
          inputMode="decimal"
          autoComplete="off"
          autoFocus={props.autoFocus}
          className="w-full min-w-0 bg-transparent py-1 text-xl font-semibold outline-none"
          value={shown}
          onChange={(e) => take(e.target.value)}
          onBlur={() => !unreadable && setTyped(null)}
          onKeyDown={onKey}
          aria-invalid={unreadable || findings.some((f) => f.path === path && f.severity === 'BLOCKING')}
        />
        <span className="text-sm whitespace-nowrap text-soft">{shownUnit}</span>
      </span>
      {unreadable ? (
        <p role="alert" className="mt-1 text-sm font-semibold text-warn">
          {cannotRead(unit)}
        </p>
      ) : (
        <FieldFinding findings={findings} path={path} />
      )}
    </div>
  );
}
