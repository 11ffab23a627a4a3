import type { ReactNode } from 'react';

/** Plain line drawings of the manoeuvres, seen on the right side; the left one is mirrored. */
function Frame({ children }: { children: ReactNode }) {
  return (
    <svg
      viewBox="0 0 120 80"
      className="h-20 w-32"
      aria-hidden
      fill="none"
      strokeLinecap="round"
      strokeLinejoin="round"
    >
      {children}
    </svg>
  );
}

const LIMB = { stroke: 'var(--ink)', strokeWidth: 7 } as const;
const THIN = { stroke: 'var(--ink)', strokeWidth: 4 } as const;
const GUIDE = { stroke: 'var(--soft)', strokeWidth: 1.5, strokeDasharray: '4 3' } as const;
const MARK = { stroke: 'var(--press)', strokeWidth: 2.5 } as const;

export function Finger() {
  return (
    <Frame>
      <path d="M8 56H62" {...LIMB} />
      <path d="M62 56H88M62 52l22-3" {...THIN} />
      <path d="M66 54Q70 26 58 16" {...THIN} stroke="var(--press)" />
      <path d="M66 54V12" {...GUIDE} />
      <path d="M4 62H110" {...GUIDE} />
    </Frame>
  );
}

export function Thumb() {
  return (
    <Frame>
      <path d="M6 60L64 40" {...LIMB} />
      <path d="M64 40Q76 48 74 66" {...THIN} />
      <path d="M68 42Q58 60 40 56" {...THIN} stroke="var(--press)" />
      <path d="M40 56l4-5" {...MARK} />
    </Frame>
  );
}

export function Elbow() {
  return (
    <Frame>
      <path d="M10 30L58 44" {...LIMB} />
      <path d="M58 44L106 42" {...LIMB} stroke="var(--press)" />
      <path d="M58 44L106 58" {...GUIDE} />
      <path d="M92 43Q96 48 93 54" {...MARK} />
    </Frame>
  );
}

export function Knee() {
  return (
    <Frame>
      <path d="M50 6L54 40" {...LIMB} />
      <path d="M54 40L48 74" {...LIMB} stroke="var(--press)" />
      <path d="M48 75h16" {...THIN} />
      <path d="M54 40L58 74" {...GUIDE} />
      <path d="M50 62Q54 64 57 62" {...MARK} />
    </Frame>
  );
}

export function Palms() {
  return (
    <Frame>
      <path d="M4 74H116" {...GUIDE} />
      <path d="M78 72L74 22" {...LIMB} />
      <path d="M74 22Q50 12 42 34" {...LIMB} />
      <path d="M46 32L48 72" {...THIN} stroke="var(--press)" />
      <circle cx="36" cy="46" r="8" {...THIN} />
    </Frame>
  );
}
