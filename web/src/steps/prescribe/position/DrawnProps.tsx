import { Button } from '../../../shared/ui/Button';
import { withPose, type Change, type Own } from './own';
import { Pick } from '../../../shared/ui/Pick';
import { POINTS } from './points';

const KINDS = ['block', 'bench', 'chair', 'table', 'ball', 'roll', 'weight', 'wall', 'strap', 'band'];
const TWO_ENDS = ['strap', 'band'];
type Drawn = Own['pose']['props'][number];

/** What is drawn beside the body: a block under a foot, a strap from hand to foot. */
export function DrawnProps({ own, change }: { own: Own; change: Change }) {
  const { props } = own.pose;
  const set = (next: Drawn[]) => change((o) => withPose(o, { props: next }));
  const put = (i: number, part: Partial<Drawn>) =>
    set(
      props.map((p, n) => {
        if (n !== i) return p;
        const now = { ...p, ...part };
        return TWO_ENDS.includes(now.kind) ? now : { ...now, other: now.spot };
      }),
    );
  return (
    <fieldset className="mt-3">
      <legend className="text-sm text-soft">Drawn with it</legend>
      {props.map((p, i) => (
        <div key={i} className="mt-1 flex flex-wrap items-end gap-2">
          <Pick
            label="Thing"
            value={p.kind}
            options={KINDS.map((k) => [k, k] as const)}
            pick={(kind) => put(i, { kind })}
          />
          <Pick label="At" value={p.spot} options={POINTS} pick={(spot) => put(i, { spot })} />
          {TWO_ENDS.includes(p.kind) && (
            <Pick label="To" value={p.other} options={POINTS} pick={(other) => put(i, { other })} />
          )}
          <Button onClick={() => set(props.filter((_, n) => n !== i))}>Remove</Button>
        </div>
      ))}
      <Button className="mt-2" onClick={() => set([...props, { kind: 'block', spot: 'ballW', other: 'ballW' }])}>
        Add a thing
      </Button>
    </fieldset>
  );
}
