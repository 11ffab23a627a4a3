import { Keyboard, Moon, Search, Sun } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import { Link, Outlet } from 'react-router';
import { StairGlyph } from '../shared/draw/StairGlyph';
import { AccountMenu } from '../steps/account/AccountMenu';
import { useSignInState } from '../steps/account/signInState';
import { Rail, Tabs } from './Navigation';
import { useKeys, type ShellSheet } from './useKeys';
import { storedTheme, storeTheme, type Theme } from './theme';

const FinderSheet = lazy(() => import('./FinderSheet').then((m) => ({ default: m.FinderSheet })));
const KeySheet = lazy(() => import('./KeySheet').then((m) => ({ default: m.KeySheet })));

export function Shell() {
  const [theme, setTheme] = useState<Theme>(storedTheme);
  const owner = useSignInState().data?.me?.role === 'OWNER';
  const [sheet, setSheet] = useState<ShellSheet | null>(null);
  const close = () => setSheet(null);
  useKeys(setSheet);
  const flip = () => {
    const next = theme === 'light' ? 'dark' : 'light';
    storeTheme(next);
    setTheme(next);
  };
  return (
    <div className="flex min-h-dvh flex-col">
      <nav className="flex items-center gap-x-1 border-b border-rule px-3 sm:px-6" aria-label="Studio">
        <Link to="/" className="mr-3 flex items-center gap-2 py-2 text-xl font-bold tracking-tight">
          <StairGlyph /> Gradino
        </Link>
        <Rail owner={owner} />
        <span className="grow" />
        <button className="p-2 text-soft hover:text-ink" onClick={() => setSheet('find')} aria-label="Find (/)">
          <Search size={22} />
        </button>
        <AccountMenu />
        <button
          className="hidden p-2 text-soft sm:block hover:text-ink"
          onClick={() => setSheet('keys')}
          aria-label="Keys (?)"
        >
          <Keyboard size={22} />
        </button>
        <button
          className="p-2 text-soft hover:text-ink"
          onClick={flip}
          aria-label={theme === 'light' ? 'Dark theme' : 'Light theme'}
        >
          {theme === 'light' ? <Moon size={22} /> : <Sun size={22} />}
        </button>
      </nav>
      <main className="mx-auto w-full max-w-[1500px] grow px-3 pt-2 pb-5 sm:px-6">
        <Suspense fallback={<p className="text-soft">One moment…</p>}>
          <Outlet />
        </Suspense>
      </main>
      <footer className="px-6 pt-3 pb-20 text-sm text-soft sm:pb-3">
        Gradino supports a coach. It does not diagnose or treat; licensed practice and local rules come first.
      </footer>
      <Tabs owner={owner} />
      <Suspense fallback={null}>
        {sheet === 'find' && <FinderSheet owner={owner} done={close} />}
        {sheet === 'keys' && <KeySheet close={close} />}
      </Suspense>
    </div>
  );
}

export function NotFound() {
  return (
    <p>
      There is nothing at this address.{' '}
      <Link className="underline" to="/">
        Back to today
      </Link>
    </p>
  );
}
