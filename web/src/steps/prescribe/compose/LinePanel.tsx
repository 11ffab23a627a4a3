import { memo } from 'react';
import { hasFirst, isOne, type Finding, type Schemas } from '../../../shared/api/client';
import { INSTRUMENTS } from '../../../shared/instruments';
import { degrees, words } from '../../../shared/units';
import { Button } from '../../../shared/ui/Button';
import { Choice } from '../../../shared/ui/Choice';
import { FieldFinding } from '../../../shared/ui/Findings';
import { NumberField } from '../../../shared/ui/NumberField';
import { TextField } from '../../../shared/ui/TextField';
import { mirror, sameButBlocks, worseSideMore, type Line, type LineHead } from './edit';
import { TurnableFigure } from '../../../shared/draw/TurnableFigure';
import { SetWords } from './SetWords';
import { useMethods } from '../../../shared/blocks/useForms';

type Change = (key: string | null, make: (line: Line) => Line) => void;

type StandProps = {
  line: LineHead;
  place: string;
  sets: Schemas['LineSet'][];
  clientId: string;
  position: Schemas['Position'] | undefined;
  findings: Finding[];
  change: Change;
};

type TermsProps = {
  line: LineHead;
  place: string;
  /** Whether both sides can work at once in its position. */
  together: boolean;
  findings: Finding[];
  change: Change;
  takeMethod: (method: string) => void;
  setSides: (sides: Line['sides']) => void;
};

type MovesProps = { line: LineHead; change: Change; remove: () => void; shift: (by: number) => void };

/** The line goes by one instrument's readings, or by the newest. */
function goingBy(line: Line, id: string): Line {
  const named = INSTRUMENTS.find(([one]) => one === id);
  const changed = { ...line };
  if (named) changed.instrument = named[0];
  else delete changed.instrument;
  return changed;
}

const SIDE_PLANS = [
  ['ONE_AFTER_OTHER', 'one, then the other'],
  ['FIRST_TWICE', 'one, the other, the first again'],
  ['ALTERNATING', 'block by block'],
  ['TOGETHER', 'both together'],
  ['LEFT', 'left only'],
  ['RIGHT', 'right only'],
] as const;

/** How a line is set up: the position drawn at its angle, the prop. */
export const LineStand = memo(function LineStand(props: StandProps) {
  const { line, place, sets, position, findings, change } = props;
  const at = (name: string) => `${place}.${name}`;
  return (
    <div className="flex flex-wrap gap-4">
      {sets.map((set) => (
        <div key={set.side} className="w-44">
          <TurnableFigure
            of={{
              clientId: props.clientId,
              position: line.position,
              motion: line.motion,
              side: set.side,
              angle: set.reachedDegrees === 0 ? undefined : set.reachedDegrees,
            }}
            label={`${position?.name ?? ''}, ${set.side.toLowerCase()} side at ${degrees(set.reachedDegrees)}`}
            className="h-32"
          />
          <SetWords
            clientId={props.clientId}
            position={line.position}
            set={set}
            setAngle={(angle) =>
              change(at(`prop-${set.side}`), (l) => ({
                ...l,
                angles: { ...l.angles, [set.side === 'RIGHT' ? 'right' : 'left']: angle },
              }))
            }
          />
        </div>
      ))}
      <div className="min-w-52 flex-1 space-y-3">
        <p className="text-sm">{position?.setup}</p>
        <div className="grid grid-cols-2 gap-3">
          {(isOne(line.sides) ? (['left'] as const) : (['left', 'right'] as const)).map((side) => (
            <NumberField
              key={side}
              label={isOne(line.sides) ? 'Angle' : `Angle ${side}`}
              unit="°"
              step={0.5}
              value={line.angles[side]}
              onChange={(v) => change(at(`angle-${side}`), (l) => ({ ...l, angles: { ...l.angles, [side]: v ?? 0 } }))}
              path={at(`angles.${side}`)}
              findings={findings}
            />
          ))}
        </div>
      </div>
    </div>
  );
}, sameButBlocks);

/** By which method a line is done, on which sides, how often a week. */
export const LineTerms = memo(function LineTerms(props: TermsProps) {
  const { line, place, together, findings, change, takeMethod, setSides } = props;
  const methods = useMethods();
  const method = methods.data?.find((m) => m.method.id === line.method)?.method;
  const at = (name: string) => `${place}.${name}`;
  return (
    <>
      <div className="flex flex-wrap items-end gap-4">
        <label className="text-sm text-soft">
          Method
          <select
            className="mt-1 block min-h-11 w-full max-w-72 border border-rule bg-card px-2 text-ink"
            value={line.method}
            onChange={(e) => takeMethod(e.target.value)}
          >
            {methods.data?.map(({ method: m, own }) => (
              <option key={m.id} value={m.id}>
                {own ? `${m.name} (ours)` : m.name}
              </option>
            ))}
          </select>
        </label>
        {line.sides !== 'MIDLINE' && (
          <Choice
            label="Sides"
            value={line.sides}
            options={SIDE_PLANS.filter(([plan]) => plan !== 'TOGETHER' || together || line.sides === plan)}
            onChange={setSides}
          />
        )}
        {hasFirst(line.sides) && (
          <Choice
            label="First"
            value={line.firstSide}
            options={[
              ['LEFT', 'left'],
              ['RIGHT', 'right'],
            ]}
            onChange={(firstSide) => change(null, (l) => ({ ...l, firstSide }))}
          />
        )}
        <label className="text-sm text-soft">
          Range measured by
          <select
            className="mt-1 block min-h-11 border border-rule bg-card px-2 text-ink"
            value={line.instrument ?? ''}
            onChange={(e) => change(null, (l) => goingBy(l, e.target.value))}
          >
            <option value="">what was last used</option>
            {INSTRUMENTS.map(([id, name]) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <div className="w-24">
          <NumberField
            label="A week"
            value={line.sessionsPerWeek}
            onChange={(v) => change(at('week'), (l) => ({ ...l, sessionsPerWeek: Math.round(v ?? 0) }))}
            path={at('sessionsPerWeek')}
            findings={findings}
          />
        </div>
      </div>
      {method && (
        <p className="max-w-prose text-sm text-soft">
          {method.summary} Breath: {method.rules.breathWords}. Cramp: {words(method.rules.cramp)}. Stretching:{' '}
          {method.rules.stretchingWords}. {method.source.text}.
        </p>
      )}
      <FieldFinding findings={findings} path={at('position')} />
      <FieldFinding findings={findings} path={at('sides')} />
      <FieldFinding findings={findings} path={at('method')} />
      {(line.unequalReason !== '' || findings.some((f) => f.path === at('unequalReason'))) && (
        <TextField
          label="Why the sides differ"
          value={line.unequalReason}
          onChange={(v) => change(at('reason'), (l) => ({ ...l, unequalReason: v }))}
          path={at('unequalReason')}
          findings={findings}
        />
      )}
    </>
  );
}, sameButBlocks);

/** Both sides from one, the line's place in the session. */
export const LineMoves = memo(function LineMoves({ line, change, shift, remove }: MovesProps) {
  return (
    <div className="flex flex-wrap gap-2">
      {!isOne(line.sides) && (
        <>
          <Button onClick={() => change(null, (l) => mirror(l, 'left'))}>Left to right</Button>
          <Button onClick={() => change(null, (l) => mirror(l, 'right'))}>Right to left</Button>
          <Button onClick={() => change(null, worseSideMore)}>First side +1 set</Button>
        </>
      )}
      <Button onClick={() => shift(-1)}>Earlier</Button>
      <Button onClick={() => shift(1)}>Later</Button>
      <Button look="stop" onClick={remove}>
        Remove the line
      </Button>
    </div>
  );
}, sameButBlocks);
