import type { Schemas } from '../../shared/api/client';
import { fixed, signed } from '../../shared/units';

type Result = Schemas['Result'];

/** What the study says, the figure that matters biggest. */
export function StudyResult({ result: r }: { result: Result }) {
  const icc: [string, number | undefined][] = [
    ['ICC(1,1)', r.icc.icc11],
    ['ICC(2,1)', r.icc.icc21],
    ['ICC(3,1)', r.icc.icc31],
    ['ICC(1,k)', r.icc.icc1k],
    ['ICC(2,k)', r.icc.icc2k],
    ['ICC(3,k)', r.icc.icc3k],
  ];
  return (
    <div>
      <h2 className="text-xl font-bold">What it says</h2>
      <p className="text-6xl font-bold">
        {fixed(r.mdc95, 1)}°{' '}
        <span className="text-lg font-normal text-soft">between two of your readings is a change</span>
      </p>
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
        {(
          [
            ['Standard error of measurement', `${fixed(r.sem, 2)}° (house value ${r.houseSem}°)`],
            ['Change beyond noise, 95 %', `${fixed(r.mdc95, 2)}°`],
            ['Change beyond noise, 90 %', `${fixed(r.mdc90, 2)}°`],
            ['Typical error, first two visits', `${fixed(r.typicalError, 2)}°`],
            ['From day to day', `${fixed(r.daySd, 2)}° SD`],
            ['From trial to trial', `${fixed(r.trialSd, 2)}° SD`],
            [
              'First − second visit',
              `${signed(r.agreement.bias)} (${signed(r.agreement.biasInterval.lower95)} to ${signed(r.agreement.biasInterval.upper95)})`,
            ],
            [
              'Limits of agreement',
              `${signed(r.agreement.lowerLimit.value)} to ${signed(r.agreement.upperLimit.value)}`,
            ],
          ] as const
        ).map(([name, value]) => (
          <div key={name} className="contents">
            <dt className="text-soft">{name}</dt>
            <dd className="font-semibold">{value}</dd>
          </div>
        ))}
      </dl>
      <h3 className="mt-4 font-semibold">Agreement between people and visits</h3>
      <ul className="grid grid-cols-3 gap-2">
        {icc.map(([name, value]) => (
          <li key={name}>
            <span className="text-sm text-soft">{name}</span>{' '}
            <strong>{value === undefined ? 'not defined' : fixed(value, 2)}</strong>
          </li>
        ))}
      </ul>
      <p className="mt-3 text-sm text-soft">
        Shrout &amp; Fleiss 1979; Weir 2005; Bland &amp; Altman 1986; Hopkins 2000. {r.people} people, {r.visits}{' '}
        visits.
      </p>
    </div>
  );
}
