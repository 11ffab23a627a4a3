import { capital } from '../units';
import { marksOf } from '../restrictions';
import { Cautions, type CautionProps } from './Cautions';
import { Fold } from './Fold';

/** The same as marks in a row; a press says why. */
export function CautionMarks(props: CautionProps) {
  const marks = marksOf(props.restrictions, props.due);
  if (marks.length === 0) return null;
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
      <div className="absolute top-full left-0 z-20 w-[min(30rem,92vw)] bg-card lifted">
        <Cautions {...props} />
      </div>
    </Fold>
  );
}
