import { useMutation } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { clock, words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import type * as edit from './edit';

type MinutesProps = {
  totals: Schemas['Totals'];
  findings: Schemas['Finding'][];
  clientId: string;
  draft: edit.Draft;
  put: (draft: edit.Draft) => void;
};

/** The rounds of lines that are done together have no block to name. */
function cutWords({ what, label, from, to }: Schemas['Cut']): string {
  const name = what === label ? words(label) : `${words(what)}, ${label}`;
  return `${name}: ${from} → ${to}`;
}

/** Honest minutes, and the way into fewer. */
export function Minutes({ totals, findings, clientId, draft, put }: MinutesProps) {
  const tooLong = findings.find((f) => f.code === 'too-long');
  const shorten = useMutation({
    mutationFn: () =>
      ask(api.POST('/api/clients/{clientId}/score/shorten', { params: { path: { clientId } }, body: { draft } })),
  });
  const { left, right } = totals.sides;
  return (
    <div className="mt-1 mb-2 flex flex-wrap items-baseline gap-x-8 gap-y-1" aria-live="polite">
      <p>
        <span className="text-4xl font-bold" data-testid="minutes">
          {clock(totals.seconds)}
        </span>{' '}
        <span className="text-soft">min, including set-up and side changes</span>
      </p>
      <p className="text-soft">
        under tension: left {left.pressSeconds + left.pullSeconds} s, right {right.pressSeconds + right.pullSeconds} s ·
        peak {totals.peak} %, {words(totals.effortClass)}
      </p>
      <details className="text-soft">
        <summary className="cursor-pointer">each side</summary>
        <table className="mt-1 text-sm">
          <thead>
            <tr className="text-left">
              <th />
              {['press', 'pull', 'held', 'breaths', 'effort × time'].map((h) => (
                <th key={h} className="px-2 font-normal">
                  {h}
                </th>
              ))}
            </tr>
          </thead>
          <tbody className="text-ink">
            {[left, right].map((side, i) => (
              <tr key={i}>
                <th className="pr-2 text-left font-semibold">{i === 0 ? 'left' : 'right'}</th>
                {[clock(side.pressSeconds), clock(side.pullSeconds), clock(side.holdSeconds), side.breaths].map(
                  (value, j) => (
                    <td key={j} className="px-2">
                      {value}
                    </td>
                  ),
                )}
                <td className="px-2">{Math.round(side.impulse)} %·s</td>
              </tr>
            ))}
          </tbody>
        </table>
      </details>
      {tooLong && !shorten.data && (
        <Button onClick={() => shorten.mutate()} disabled={shorten.isPending}>
          What to shorten first?
        </Button>
      )}
      {shorten.data && tooLong && (
        <div className="w-full border-l-4 border-rule pl-3">
          <p className="font-semibold">
            {shorten.data.fits ? 'This would fit' : 'The shortest that it can be'}: {clock(shorten.data.seconds)} min
          </p>
          <ul>
            {shorten.data.cuts.map((c) => (
              <li key={c.place + c.label}>
                {c.label === '' ? `Leave out ${c.what}` : cutWords(c)}, saves {c.saves} s
              </li>
            ))}
          </ul>
          <Button className="mt-2" onClick={() => put(shorten.data.draft)}>
            Shorten it so
          </Button>
        </div>
      )}
      <Failure error={shorten.error} />
    </div>
  );
}
