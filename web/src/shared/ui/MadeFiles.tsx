import { useState, type MouseEvent, type ReactNode } from 'react';
import { Standing, useWork } from './Working';

/** Until then a file that was asked for has begun, or is there already. */
const BEGINS_MS = 5_000;

/**
 * Links to files that take a while to make. The browser fetches them; here it is told meanwhile how far they are, and ended.
 *
 * @param works names of the works that make them
 */
export function MadeFiles({ works, children }: { works: readonly string[]; children: ReactNode }) {
  const [asked, setAsked] = useState(0);
  const going = useWork(works, () => Date.now() - asked < BEGINS_MS);
  const look = (event: MouseEvent) => {
    if (event.target instanceof HTMLAnchorElement) {
      setAsked(Date.now());
      void going.refetch();
    }
  };
  return (
    // The links are pressed, by mouse or key; this only hears of it.
    <div onClick={look}>
      {children}
      {going.data?.map((w, n) => (
        <div key={n} className="mt-3">
          <Standing name={w.name} what={`Making the ${w.name}`} work={w} />
        </div>
      ))}
    </div>
  );
}
