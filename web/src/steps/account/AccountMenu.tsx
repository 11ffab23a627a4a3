import { lazy, Suspense, useState } from 'react';
import { useSignInState } from './signInState';

const AccountSheet = lazy(() => import('./AccountSheet').then((m) => ({ default: m.AccountSheet })));

/** Who is signed in. */
export function AccountMenu() {
  const me = useSignInState().data?.me;
  const [open, setOpen] = useState(false);
  if (!me) return null;
  return (
    <>
      <button className="max-w-28 truncate sm:max-w-40 p-2 text-soft hover:text-ink" onClick={() => setOpen(true)}>
        {me.name}
      </button>
      {open && (
        <Suspense fallback={null}>
          <AccountSheet me={me} close={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
