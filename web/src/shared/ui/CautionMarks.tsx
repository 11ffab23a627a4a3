import { DUE, grouped } from '../restrictions';
import { Cautions, type CautionProps } from './Cautions';
import { Fold } from './Fold';

/** The same as marks in a row; a press says why. */
export function CautionMarks(props: CautionProps) {
  const asked = DUE[props.due];
  const groups = grouped(props.restrictions);
  if (groups.length === 0 && !asked) return null;
  const marks = [
    ...groups.map((g) => [g.place, g.heads.join(', ').toLowerCase()].filter(Boolean).join(': ')),
    ...(asked ? [asked.toLowerCase()] : []),
  ];
  return (
    <Fold
      className="relative max-w-full min-w-0 sm:max-w-md"
      summary="flex min-h-11 items-center bg-warn-paper px-3 text-sm font-semibold text-warn"
      label={
        <>
          <span className="sr-only">Cautions: </span>
          <span className="line-clamp-2">▲ {marks.map(capital).join(' · ')}</span>
          <span aria-hidden className="ml-2 group-open:rotate-180">
            ▾
          </span>
        </>
      }
    >
      <div className="absolute top-full left-0 z-20 w-[min(30rem,92vw)] bg-card shadow-xl">
        <Cautions {...props} />
      </div>
    </Fold>
  );
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
