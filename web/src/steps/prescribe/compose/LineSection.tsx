import { memo, useMemo } from 'react';
import { isOne, type Finding, type Schemas } from '../../../shared/api/client';
import { clock, words } from '../../../shared/units';
import { useDebounced } from '../../../shared/ui/useDebounced';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import * as edit from './edit';
import { LineMoves, LineStand, LineTerms } from './LinePanel';
import { Options } from './Options';
import { PositionHelp } from './PositionHelp';
import { Together } from './Together';
import { useStable } from './useStable';
import { Weights } from './Weights';

type Props = {
  clientId: string;
  draft: edit.Draft;
  spot: edit.Spot;
  sets: Schemas['LineSet'][] | undefined;
  findings: Finding[];
  change: (make: (draft: edit.Draft) => edit.Draft, key?: string | null) => void;
  takeMethod: (method: string) => void;
  movePosition: (position: string) => void;
  select: (spot: edit.Spot | null) => void;
};

/** The selected line. */
export const LineSection = memo(function LineSection(props: Props) {
  const { clientId, draft, spot, sets, findings, change, takeMethod, movePosition, select } = props;
  const catalogue = useCatalogue();
  const line = edit.lineAt(draft, spot);
  const changeLine = useStable((key: string | null, make: (line: edit.Line) => edit.Line) =>
    change((d) => edit.changeLine(d, spot, make), key),
  );
  const shift = useStable((by: number) => {
    change((d) => edit.moveStation(d, spot.station, by));
    const to = spot.station + by;
    if (to >= 0 && to < draft.stations.length) select({ ...spot, station: to });
  });
  const remove = useStable(() => {
    change((d) => edit.removeLine(d, spot.station, spot.line));
    select(null);
  });
  const setSides = useStable((sides: edit.Line['sides']) => {
    changeLine(null, (l) => edit.onSides(l, sides));
    if (isOne(sides)) select({ ...spot, side: 'left' });
  });
  const takeBand = useStable((band: edit.Band) => changeLine(null, (l) => edit.withBand(l, band)));
  const takeOption = useStable((taken: edit.Line) => changeLine(null, () => taken));
  const rested = useDebounced(line, 400);
  const own = useMemo(() => sets?.filter((s) => s.line === line?.id) ?? [], [sets, line?.id]);
  if (!line) return null;
  const position = catalogue.data?.positions.find((p) => p.id === line.position);
  const place = `stations[${spot.station}].lines[${spot.line}]`;
  return (
    <section aria-label="Line" className="contain-content">
      <h2 className="mb-3 text-xl font-bold">
        {words(line.motion)} <span className="font-normal text-soft">· {position?.name}</span>
      </h2>
      <div className="space-y-4">
        <LineStand
          clientId={clientId}
          line={line}
          place={place}
          sets={own}
          position={position}
          findings={findings}
          change={changeLine}
        />
        {position?.training && rested && (
          <Options clientId={clientId} line={rested} take={takeOption} move={movePosition} />
        )}
        <LineTerms
          line={line}
          place={place}
          together={position?.training !== undefined && position.training.together !== 'NO'}
          findings={findings}
          change={changeLine}
          takeMethod={takeMethod}
          setSides={setSides}
        />
        <Together
          draft={draft}
          at={spot}
          findings={findings}
          change={change}
          select={(at) => select({ ...at, side: 'left', block: 0 })}
        />
        <LineMoves line={line} change={changeLine} shift={shift} remove={remove} />
        <Weights clientId={clientId} motion={line.motion} position={line.position} sets={own} takeBand={takeBand} />
        {position?.training && <PositionHelp training={position.training} />}
      </div>
    </section>
  );
});

/** What the line comes to in a week. */
export function Week({ dose }: { dose: Schemas['WeeklyDose'] }) {
  const { leftTensionSeconds: left, rightTensionSeconds: right } = dose;
  return (
    <p className="pb-1 text-sm text-soft">
      a week: <span className="font-semibold text-ink">{dose.minutes} min</span>, under tension{' '}
      {left === right ? `${clock(left)} a side` : `left ${clock(left)}, right ${clock(right)}`}
    </p>
  );
}
