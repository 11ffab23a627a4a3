import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { findingsOf, type Finding } from '../../shared/api/client';
import { Button } from '../../shared/ui/Button';
import { Failure } from '../../shared/ui/Findings';
import { NumberField } from '../../shared/ui/NumberField';

type Props = {
  /** What it is of: the left side, a movement; cold or warm. */
  of: string;
  how: string;
  unit: string;
  path: string;
  send: (value: number) => Promise<unknown>;
  children?: (findings: Finding[]) => ReactNode;
};

/** One number at its moment: typed, kept, and said back. */
export function KeepValue({ of, how, unit, path, send, children }: Props) {
  const [value, setValue] = useState<number | null>(null);
  const keep = useMutation({ mutationFn: send });
  const findings = findingsOf(keep.error);
  if (keep.isSuccess) {
    return (
      <p role="status" className="pb-2">
        {of}{' '}
        <b>
          {value}
          {unit}
        </b>{' '}
        {how}, saved
      </p>
    );
  }
  const submit = () => value !== null && keep.mutate(value);
  return (
    <div className="flex items-end gap-2" role="group" aria-label={of}>
      <div className="w-32">
        <NumberField
          label={`${of}, ${how}`}
          unit={unit}
          value={value}
          onChange={setValue}
          path={path}
          findings={findings}
          onEnter={submit}
        />
      </div>
      {children?.(findings)}
      <Button disabled={value === null || keep.isPending} onClick={submit}>
        Save
      </Button>
      <Failure error={findings.length > 0 ? null : keep.error} />
    </div>
  );
}
