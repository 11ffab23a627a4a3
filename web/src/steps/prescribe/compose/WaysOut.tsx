import { useMutation } from '@tanstack/react-query';
import { api, ask, type Schemas } from '../../../shared/api/client';
import { Button } from '../../../shared/ui/Button';
import { Failure } from '../../../shared/ui/Findings';
import { placeOf, setNumber, type Block, type Draft, type Spot } from './edit';

type Props = {
  clientId: string;
  draft: Draft;
  spot: Spot;
  marks: Schemas['Shortfall'][];
  change: (key: string, make: (block: Block) => Block) => void;
};

/** Where the model leaves less than is asked: the shortest rest and the highest ceiling that make it feasible. */
export function WaysOut({ clientId, draft, spot, marks, change }: Props) {
  const mine = marks.filter((m) => m.place === placeOf(spot));
  const short = mine.filter((m) => !m.allOut);
  const allOut = mine.filter((m) => m.allOut);
  const solve = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/score/solve', {
          params: { path: { clientId } },
          body: { draft, station: spot.station, line: spot.line, block: spot.block },
        }),
      ),
  });
  const worst = [...short].sort((a, b) => a.left - a.asked - (b.left - b.asked))[0];
  const last = allOut[allOut.length - 1];
  if (!worst && !last) return null;
  const { restSeconds, ceiling } = solve.data ?? {};
  return (
    <div className="mt-4 border-l-4 border-rule pl-3">
      {last && (
        <p className="text-soft">
          {last.asked} % asks for all that is left: about {Math.round(last.left)} % at the end of the last set, by the
          model.
        </p>
      )}
      {worst && (
        <>
          <p className="font-semibold">
            △ {worst.asked} % is asked, about {Math.round(worst.left)} % is left by the model.
          </p>
          <Button className="mt-2" onClick={() => solve.mutate()} disabled={solve.isPending}>
            What would make it feasible?
          </Button>
          {solve.data && (
            <div className="mt-2 flex flex-wrap gap-2">
              {restSeconds !== undefined && (
                <Button onClick={() => change('', setNumber('rest', restSeconds))}>
                  {restSeconds} s rest between sets
                </Button>
              )}
              {ceiling !== undefined && (
                <Button onClick={() => change('', setNumber('ceiling', ceiling))}>a ceiling of {ceiling} %</Button>
              )}
              {restSeconds === undefined && ceiling === undefined && (
                <p>Neither ten minutes of rest nor a lower ceiling does it: what comes before is too much.</p>
              )}
            </div>
          )}
          <Failure error={solve.error} />
        </>
      )}
    </div>
  );
}
