import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** A way somewhere else that is as big as a button. */
export function ButtonLink({ to, children }: { to: string; children: ReactNode }) {
  return (
    <Link
      to={to}
      className="inline-flex min-h-11 items-center border border-rule bg-card px-4 py-2 font-semibold hover:bg-tread"
    >
      {children}
    </Link>
  );
}
