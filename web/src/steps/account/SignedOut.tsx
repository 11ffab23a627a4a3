import type { ReactNode } from 'react';
import { Sheet } from '../../shared/ui/Sheet';

/** Over what is open, so that what was typed stays. */
export function SignedOut({ children }: { children: ReactNode }) {
  return (
    <Sheet open title="Signed out">
      <p className="mb-3 text-soft">Sign in again; what you typed is still here.</p>
      {children}
    </Sheet>
  );
}
