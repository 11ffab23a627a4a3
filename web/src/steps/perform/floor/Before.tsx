import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { hasFirst, AT_HOME, type Schemas } from '../../../shared/api/client';
import { clock } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { ClientCautions } from '../../../shared/ui/ClientCautions';
import * as Runs from '../run';
import { sideWords } from '../setUp';
import { SetUpFigure } from '../SetUpFigure';
import { StopRules } from '../StopRules';

type Props = { floor: Schemas['Floor']; start: () => void; resumed: boolean; children?: ReactNode };

function begins({ sides, firstSide }: Schemas['FloorLine']): string {
  if (hasFirst(sides)) return `${Runs.sideWord(firstSide)} side first`;
  if (sides === 'LEFT' || sides === 'RIGHT') return `${Runs.sideWord(sides)} side`;
  return sides === 'TOGETHER' ? 'Both sides together' : '';
}

/** Before the start: what to lay ready, the cautions, the stop rules, one button. */
export function Before({ floor, start, resumed, children }: Props) {
  const only = floor.lines.length === 1 ? floor.lines[0] : undefined;
  return (
    <div className="grid grow content-center gap-8 md:grid-cols-2">
      <div className="self-center">
        <p className="text-2xl text-soft">{resumed ? 'Resume where it stopped' : 'Make ready'}</p>
        {only ? (
          <>
            {floor.title && <p className="text-2xl">{only.position}</p>}
            <p className="text-5xl font-bold">{begins(only) || floor.title}</p>
            <p className="my-4 text-2xl first-letter:uppercase">{sideWords(only, only.firstSide)}</p>
            <SetUpFigure line={only} side={only.firstSide} className="h-[24vh]" />
          </>
        ) : (
          <>
            <p className="text-5xl font-bold">{floor.title}</p>
            <p className="text-xl text-soft">{clock(floor.timeline.phases.at(-1)?.endSecond ?? 0)} min</p>
            <ol className="my-4 list-decimal space-y-1 pl-7 text-2xl">
              {floor.lines.map((line) => (
                <li key={line.line}>
                  <SetUpFigure line={line} side={line.firstSide} className="float-right h-[20vh] max-w-md" />
                  {line.position}
                  <span className="block text-lg text-soft first-letter:uppercase">
                    {sideWords(line, line.firstSide)}
                  </span>
                </li>
              ))}
            </ol>
          </>
        )}
        <Button look="main" className="min-h-20 w-full text-4xl" onClick={start} autoFocus>
          {resumed ? 'Go on' : 'Start'}
        </Button>
        {children}
        {resumed && (
          <Link className="mt-4 inline-block text-xl underline" to={`/runs/${floor.id}/close`}>
            Close it as it is
          </Link>
        )}
      </div>
      <div className={AT_HOME ? 'order-first md:order-none' : ''}>
        <ClientCautions clientId={floor.clientId} />
        <StopRules painEndsAbove={floor.painEndsBlockAbove} />
      </div>
    </div>
  );
}
