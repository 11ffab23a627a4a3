import type { Schemas } from '../../shared/api/client';
import { day } from '../../shared/units';

/** Links end with the right of whoever made them: that is said. */
export function EndedLinks({ ended }: { ended: Schemas['HomeLink'][] | undefined }) {
  if (!ended || ended.length === 0) return null;
  return (
    <p role="status" className="border-l-4 border-warn bg-warn-paper p-3 text-warn">
      {ended.length === 1 ? 'A link for home ended with it' : `${ended.length} links for home ended with it`}:{' '}
      {ended.map((l) => `made ${day(l.madeAt)}, ${l.devices} ${l.devices === 1 ? 'device' : 'devices'}`).join('; ')}.
      Make new ones under Home, where they are needed.
    </p>
  );
}
