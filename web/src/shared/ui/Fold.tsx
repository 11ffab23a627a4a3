import { useEffect, useRef, type ReactNode } from 'react';

type Props = { label: ReactNode; className?: string; summary?: string; children: ReactNode };

/** What opens below its label and closes as soon as one turns away from it. */
export function Fold({ label, className = '', summary = '', children }: Props) {
  const fold = useRef<HTMLDetailsElement>(null);
  useEffect(() => {
    const close = (event: Event) => {
      const open = fold.current;
      if (!open?.open) return;
      const key = event instanceof KeyboardEvent;
      if (key ? event.key === 'Escape' : !open.contains(event.target as Node)) open.open = false;
    };
    const kinds = ['pointerdown', 'focusin', 'keydown'] as const;
    kinds.forEach((kind) => document.addEventListener(kind, close));
    return () => kinds.forEach((kind) => document.removeEventListener(kind, close));
  }, []);
  return (
    <details ref={fold} className={`group ${className}`}>
      <summary className={`cursor-pointer list-none [&::-webkit-details-marker]:hidden ${summary}`}>{label}</summary>
      <div
        onClick={(event) => {
          if (event.target instanceof Element && event.target.closest('a') && fold.current) fold.current.open = false;
        }}
      >
        {children}
      </div>
    </details>
  );
}
