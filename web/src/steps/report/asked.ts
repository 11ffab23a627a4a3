import { useSearchParams } from 'react-router';
import type { Schemas } from '../../shared/api/client';

export type Query = Schemas['ReportAsk'];
export type Audience = NonNullable<Query['audience']>;
export type Part = NonNullable<Query['left']>[number];

/** Which report: it stands in the address, so that it can be sent on and gone back to. */
export function useAsked(): [Query, (change: Partial<Query>) => void] {
  const [params, setParams] = useSearchParams();
  const asked: Query = {
    period: (params.get('period') ?? 'BASELINE') as Query['period'],
    from: params.get('from') ?? undefined,
    to: params.get('to') ?? undefined,
    audience: (params.get('audience') ?? 'COACH') as Audience,
    left: params.getAll('left') as Part[],
    named: params.has('named') ? params.get('named') === 'true' : undefined,
  };
  const change = (part: Partial<Query>) => setParams(search({ ...asked, ...part }), { replace: true });
  return [asked, change];
}

export function search(asked: Query): URLSearchParams {
  const params = new URLSearchParams();
  for (const [name, value] of Object.entries(asked)) {
    if (Array.isArray(value)) value.forEach((v) => params.append(name, v));
    else if (value !== undefined) params.set(name, String(value));
  }
  return params;
}
