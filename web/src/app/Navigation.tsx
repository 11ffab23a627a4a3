import { Ellipsis, House, Scale, Shapes, Users } from 'lucide-react';
import type { ReactNode } from 'react';
import { NavLink } from 'react-router';
import { Fold } from '../shared/ui/Fold';
import { FIRST, MORE, type Page } from './pages';

const ICONS: Record<string, ReactNode> = {
  '/': <House size={22} />,
  '/clients': <Users size={22} />,
  '/decisions': <Scale size={22} />,
  '/library': <Shapes size={22} />,
};

const bar = 'block px-3 py-1.5 border-b-[3px]';
const railLink = ({ isActive }: { isActive: boolean }) =>
  `${bar} ${isActive ? 'border-ink font-semibold' : 'border-transparent text-soft hover:text-ink'}`;
const tabLink = ({ isActive }: { isActive: boolean }) =>
  `flex min-h-14 grow basis-0 flex-col items-center justify-center border-t-[3px] text-xs ${
    isActive ? 'border-ink font-semibold text-ink' : 'border-transparent text-soft'
  }`;

/** What a coach needs all day in front, the rest behind one word. */
export function Rail({ owner }: { owner: boolean }) {
  return (
    <div className="hidden items-center gap-x-1 sm:flex">
      {FIRST.map((p) => (
        <NavLink key={p.to} to={p.to} end={p.to === '/'} className={railLink}>
          {p.name}
        </NavLink>
      ))}
      <Fold className="relative" summary={`${bar} border-transparent text-soft hover:text-ink`} label="More">
        <More owner={owner} className="absolute top-full left-0 z-30" />
      </Fold>
    </div>
  );
}

/** On a phone: one bar at the bottom. */
export function Tabs({ owner }: { owner: boolean }) {
  return (
    <nav
      aria-label="Studio, at the bottom"
      className="fixed inset-x-0 bottom-0 z-30 flex border-t border-rule bg-paper pb-[env(safe-area-inset-bottom)] sm:hidden print:hidden"
    >
      {FIRST.map((p) => (
        <NavLink key={p.to} to={p.to} end={p.to === '/'} className={tabLink}>
          {ICONS[p.to]}
          {p.name}
        </NavLink>
      ))}
      <Fold
        className="relative grow basis-0"
        summary="flex min-h-14 flex-col items-center justify-center border-t-[3px] border-transparent text-xs text-soft"
        label={
          <>
            <Ellipsis size={22} />
            More
          </>
        }
      >
        <More owner={owner} className="absolute right-0 bottom-full" />
      </Fold>
    </nav>
  );
}

function More({ owner, className }: { owner: boolean; className: string }) {
  const pages: Page[] = MORE.filter((p) => owner || !p.owner);
  return (
    <ul className={`w-60 border border-rule bg-card py-1 lifted ${className}`}>
      {pages.map((p) => (
        <li key={p.to}>
          <NavLink
            to={p.to}
            end
            className={({ isActive }) => `block px-4 py-2.5 hover:bg-tread ${isActive ? 'font-semibold' : ''}`}
          >
            {p.name}
          </NavLink>
        </li>
      ))}
    </ul>
  );
}
