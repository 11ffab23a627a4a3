import { Search } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { isTyping } from '../shared/ui/keys';

const FinderSheet = lazy(() => import('./FinderSheet').then((m) => ({ default: m.FinderSheet })));

/** Everything that can be gone to, by typing a part of its name; opened by one key. */
export function Finder({ owner }: { owner: boolean }) {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.key !== '/' || isTyping(event) || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      setOpen(true);
    };
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        className="flex items-center gap-2 p-2 text-soft hover:text-ink"
        onClick={() => setOpen(true)}
        aria-label="Find (/)"
      >
        <Search size={22} />
      </button>
      {open && (
        <Suspense fallback={null}>
          <FinderSheet owner={owner} done={() => setOpen(false)} />
        </Suspense>
      )}
    </>
  );
}
