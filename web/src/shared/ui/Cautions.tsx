import { capital } from '../units';
import { Link } from 'react-router';
import type { Schemas } from '../api/client';
import { DUE, grouped, type Restriction } from '../restrictions';

export type CautionProps = {
  clientId: string;
  restrictions: Restriction[];
  due: Schemas['ClientFile']['screeningDue'];
};

/** What must not be done with this client, and whether the screening is asked again; on every view of theirs. */
export function Cautions({ clientId, restrictions, due }: CautionProps) {
  const asked = DUE[due];
  if (restrictions.length === 0 && !asked) return null;
  return (
    <div className="border-l-4 border-warn bg-warn-paper px-3 py-2 text-warn" role="note" aria-label="Cautions">
      {grouped(restrictions).map((g) => (
        <p key={g.place}>
          <strong>
            {g.place && <>{capital(g.place)}: </>}
            {g.heads.join(' · ')}
          </strong>{' '}
          ({g.reasons.join('; ')})
        </p>
      ))}
      {asked && (
        <p>
          <strong>{asked}.</strong>{' '}
          <Link className="underline" to={`/clients/${clientId}/screening`}>
            Ask the questions now
          </Link>
        </p>
      )}
    </div>
  );
}
