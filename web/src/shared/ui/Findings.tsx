import type { Finding } from '../api/client';

/** The finding for one field, in words beside it. */
export function FieldFinding({ findings, path }: { findings: Finding[]; path: string }) {
  const found = findings.find((f) => f.path === path);
  if (!found) return null;
  const blocking = found.severity === 'BLOCKING';
  return (
    <p
      role={blocking ? 'alert' : undefined}
      className={`mt-1 text-sm ${blocking ? 'font-semibold text-warn' : 'text-soft'}`}
    >
      {blocking ? '▲ ' : '△ '}
      {found.message}
    </p>
  );
}

/** Findings whose field is not on the screen. */
export function OtherFindings({ findings, shown }: { findings: Finding[]; shown: (path: string) => boolean }) {
  const rest = findings.filter((f) => !shown(f.path));
  if (rest.length === 0) return null;
  return (
    <ul className="my-2 space-y-1">
      {rest.map((f) => (
        <li key={f.path + f.code} className={f.severity === 'BLOCKING' ? 'font-semibold text-warn' : 'text-soft'}>
          {f.severity === 'BLOCKING' ? '▲ ' : '△ '}
          {f.message}
        </li>
      ))}
    </ul>
  );
}

/** A failed call in words; nothing for findings that stand beside their fields. */
export function Failure({ error }: { error: Error | null }) {
  return error ? (
    <p role="alert" className="my-2 border-l-4 border-warn bg-warn-paper px-3 py-2 font-semibold text-warn">
      {error.message}
    </p>
  ) : null;
}
