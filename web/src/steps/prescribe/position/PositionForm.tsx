import type { Finding } from '../../../shared/api/client';
import { useMethods } from '../../../shared/blocks/useForms';
import { Choice } from '../../../shared/ui/Choice';
import { FieldFinding } from '../../../shared/ui/Findings';
import { TextField } from '../../../shared/ui/TextField';
import { Ticks } from '../../../shared/ui/Ticks';
import { useCatalogue } from '../../../shared/ui/useCatalogue';
import { trainingOf, withPosition, withTraining, type Change, type Own, type Training } from './own';
import { Hints, Pairs } from './Rows';

type Props = { own: Own; findings: Finding[]; change: Change };
type Word = 'tissue' | 'press' | 'pull' | 'lifts';

const WORDS: [Word, string][] = [
  ['tissue', 'What is lengthened or trained'],
  ['press', 'Press: what pushing out of the range means here'],
  ['pull', 'Pull: what pulling deeper means here'],
  ['lifts', 'What a lift-off lifts'],
];

/** Everything that the catalogue says of a position. */
export function PositionForm({ own, findings, change }: Props) {
  const { position } = own;
  const training = trainingOf(own);
  const text = (label: string, value: string, path: string, set: (value: string) => Own) => (
    <TextField label={label} value={value} onChange={(v) => change(() => set(v))} path={path} findings={findings} />
  );
  return (
    <div className="space-y-5">
      {text('Name', position.name, 'position.name', (name) => withPosition(own, { name }))}
      <Motions own={own} findings={findings} change={change} />
      <SetUp own={own} findings={findings} change={change} />
      {text('The angle is 0 when', position.zero, 'position.zero', (zero) => withPosition(own, { zero }))}
      {WORDS.map(([name, label]) => (
        <div key={name}>
          {text(label, training[name], `position.training.${name}`, (v) => withTraining(own, { [name]: v }))}
        </div>
      ))}
      <Lists own={own} findings={findings} change={change} training={training} />
      {text('Signs that end it, separated by ;', training.stops.join(';'), 'position.training.stops', (v) =>
        withTraining(own, { stops: v.split(';') }),
      )}
      <Suits findings={findings} change={change} training={training} />
    </div>
  );
}

/** Some sentences: all of them are seen. */
function SetUp({ own, findings, change }: Props) {
  return (
    <label className="block text-sm text-soft">
      Set-up, as a client hears it
      <textarea
        rows={3}
        className="mt-1 block w-full border-2 border-rule bg-transparent p-2 text-lg text-ink focus:border-ink"
        value={own.position.setup}
        onChange={(e) => change((o) => withPosition(o, { setup: e.target.value }))}
      />
      <FieldFinding findings={findings} path="position.setup" />
    </label>
  );
}

function Motions({ own, findings, change }: Props) {
  const all = useCatalogue().data?.motions ?? [];
  const { motions } = own.position;
  return (
    <div>
      <Ticks
        label="Motions; the first one is drawn"
        value={motions}
        options={motions.map((m) => [m, all.find((one) => one.id === m)?.name ?? m])}
        onChange={(left) => change((o) => withPosition(o, { motions: left }))}
      />
      <select
        aria-label="Add a motion"
        className="mt-2 block min-h-11 border border-rule bg-card px-2 text-ink"
        value=""
        onChange={(e) => change((o) => withPosition(o, { motions: [...o.position.motions, e.target.value] }))}
      >
        <option value="">Add a motion…</option>
        {all
          .filter((m) => !motions.includes(m.id))
          .map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
      </select>
      <FieldFinding findings={findings} path="position.motions" />
    </div>
  );
}

function Lists({ own, findings, change, training }: Props & { training: Training }) {
  const rest = { findings, motions: own.position.motions };
  const path = 'position.training';
  return (
    <>
      <Hints
        title="Easier"
        path={`${path}.easier`}
        rows={training.easier}
        change={(easier) => change((o) => withTraining(o, { easier }))}
        {...rest}
      />
      <Hints
        title="Harder"
        path={`${path}.harder`}
        rows={training.harder}
        change={(harder) => change((o) => withTraining(o, { harder }))}
        {...rest}
      />
      <Pairs
        title="Props"
        then="It makes the angle (easier, deeper, harder)"
        path={`${path}.props`}
        rows={training.props}
        findings={findings}
        change={(props) => change((o) => withTraining(o, { props }))}
      />
      <Pairs
        title="Faults"
        then="Fix"
        path={`${path}.fixes`}
        rows={training.fixes}
        findings={findings}
        change={(fixes) => change((o) => withTraining(o, { fixes }))}
      />
    </>
  );
}

function Suits({ findings, change, training }: Omit<Props, 'own'> & { training: Training }) {
  const methods = useMethods().data ?? [];
  const equipment = useCatalogue().data?.equipment ?? [];
  return (
    <>
      <div>
        <Ticks
          label="Methods that suit it"
          value={training.methods}
          options={methods.map(({ method: m }) => [m.id, m.name] as const)}
          onChange={(ids) => change((o) => withTraining(o, { methods: ids }))}
        />
        <FieldFinding findings={findings} path="position.training.methods" />
      </div>
      <Ticks
        label="It needs"
        value={training.equipment}
        options={equipment.map((e) => [e.id, e.name] as const)}
        onChange={(ids) => change((o) => withTraining(o, { equipment: ids }))}
      />
      <Choice
        label="Both sides at once"
        value={training.together}
        options={[
          ['NO', 'never'],
          ['MAY', 'if the coach likes'],
          ['USUAL', 'as it is usually done'],
        ]}
        onChange={(together) => change((o) => withTraining(o, { together }))}
      />
    </>
  );
}
