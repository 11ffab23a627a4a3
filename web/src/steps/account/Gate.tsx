import { lazy, Suspense, useState, type ReactNode } from 'react';
import { StairGlyph } from '../../shared/draw/StairGlyph';
import { Failure } from '../../shared/ui/Findings';
import { FirstRun } from './FirstRun';
import { SignIn } from './SignIn';
import { useSignInState } from './signInState';

const SignedOut = lazy(() => import('./SignedOut').then((m) => ({ default: m.SignedOut })));

/**
 * Nothing is shown to nobody. Who is signed out in the middle of something signs in again over it, so that what was typed
 * stays.
 */
export function Gate({ children }: { children: ReactNode }) {
  const signIn = useSignInState();
  const me = signIn.data?.me;
  const [entered, setEntered] = useState(false);
  if (me && !entered) setEntered(true);
  if (!signIn.data) {
    return signIn.error ? <Failure error={signIn.error} /> : <p className="p-8 text-soft">One moment…</p>;
  }
  const door = signIn.data.firstRun ? <FirstRun /> : <SignIn state={signIn.data} />;
  if (!entered) return <Doorstep>{door}</Doorstep>;
  return (
    <>
      {children}
      {!me && (
        <Suspense fallback={null}>
          <SignedOut>{door}</SignedOut>
        </Suspense>
      )}
    </>
  );
}

function Doorstep({ children }: { children: ReactNode }) {
  return (
    <main className="mx-auto flex min-h-dvh w-full max-w-md flex-col justify-center px-5 py-8">
      <h1 className="mb-6 flex items-center gap-3 text-4xl font-bold">
        <StairGlyph /> Gradino
      </h1>
      {children}
      <p className="mt-10 text-sm text-soft">
        Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first.
      </p>
    </main>
  );
}
