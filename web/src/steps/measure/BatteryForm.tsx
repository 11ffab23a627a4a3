import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, ask, findingsOf, newId, type Schemas } from '../../shared/api/client';
import { jointName } from '../../shared/restrictions';
import { Button } from '../../shared/ui/Button';
import { Failure, OtherFindings } from '../../shared/ui/Findings';
import { TextField } from '../../shared/ui/TextField';
import { Ticks } from '../../shared/ui/Ticks';
import { INSTRUMENTS } from '../../shared/instruments';
import type { Body, Item, Mode } from './draft';
import { Movements } from './Movements';

type Pick = { motion: string; position: string; instrument: Item['instrument'] };
type Set = Schemas['BatterySet'];

const SELECT = 'min-h-11 w-full border border-rule bg-card px-2 text-ink';

/** Every pick on each side, in each mode: the order in which they are measured. */
function itemsOf(picks: Pick[], modes: Mode[], body: Body): Item[] {
  return picks.flatMap((pick) => {
    const midline = body.motions.find((m) => m.id === pick.motion)?.midline ?? false;
    const sides: Item['side'][] = midline ? ['MIDLINE'] : ['LEFT', 'RIGHT'];
    return modes.flatMap((mode) => sides.map((side): Item => ({ ...pick, side, mode, warmth: 'COLD' })));
  });
}

export function BatteryForm({ clientId, body, done }: { clientId: string; body: Body; done: () => void }) {
  const queries = useQueryClient();
  const [id] = useState(newId);
  const [name, setName] = useState('Baseline');
  const [picks, setPicks] = useState<Pick[]>([]);
  const [modes, setModes] = useState<Mode[]>(['PASSIVE', 'ACTIVE']);
  const [movements, setMovements] = useState<Set['movements']>([]);
  const items = itemsOf(picks, modes, body);
  const save = useMutation({
    mutationFn: () =>
      ask(
        api.POST('/api/clients/{clientId}/batteries', {
          params: { path: { clientId } },
          body: { id, name, body: { items, movements } },
        }),
      ),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: ['batteries'] });
      done();
    },
  });
  const findings = findingsOf(save.error);
  const toggle = (motion: string) => {
    const position = body.positions.find((p) => p.motions.includes(motion))?.id ?? '';
    setPicks(
      picks.some((p) => p.motion === motion)
        ? picks.filter((p) => p.motion !== motion)
        : [...picks, { motion, position, instrument: 'GONIOMETER' }],
    );
  };
  const change = (motion: string, part: Partial<Pick>) =>
    setPicks(picks.map((p) => (p.motion === motion ? { ...p, ...part } : p)));
  return (
    <form
      className="space-y-6 border-t-2 border-ink pt-4"
      onSubmit={(e) => {
        e.preventDefault();
        save.mutate();
      }}
    >
      <div className="max-w-md">
        <TextField label="Name" value={name} onChange={setName} path="name" findings={findings} autoFocus />
      </div>
      <Motions body={body} picks={picks} toggle={toggle} />
      <ul className="space-y-2">
        {picks.map((pick) => (
          <li key={pick.motion} className="grid items-center gap-3 sm:grid-cols-[1fr_1fr_12rem]">
            <span className="font-semibold">{body.motions.find((m) => m.id === pick.motion)?.name}</span>
            <select
              aria-label={`Position of ${pick.motion}`}
              className={SELECT}
              value={pick.position}
              onChange={(e) => change(pick.motion, { position: e.target.value, instrument: 'GONIOMETER' })}
            >
              {body.positions
                .filter((p) => p.motions.includes(pick.motion))
                .map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
            </select>
            <select
              aria-label={`Instrument for ${pick.motion}`}
              className={SELECT}
              value={pick.instrument}
              onChange={(e) => change(pick.motion, { instrument: e.target.value as Pick['instrument'] })}
            >
              {INSTRUMENTS.filter(
                ([x]) => x !== 'TAPE' || body.positions.find((p) => p.id === pick.position)?.tape,
              ).map(([x, text]) => (
                <option key={x} value={x}>
                  {text}
                </option>
              ))}
            </select>
          </li>
        ))}
      </ul>
      <Ticks
        label="Each side"
        value={modes}
        onChange={setModes}
        options={[
          ['PASSIVE', 'passive'],
          ['ACTIVE', 'active'],
          ['HANDS_OFF', 'hands-off'],
        ]}
      />
      <Movements movements={movements} setMovements={setMovements} />
      <OtherFindings findings={findings} shown={(p) => p === 'name'} />
      <Failure error={findings.length > 0 ? null : save.error} />
      <div className="flex gap-3">
        <Button look="main" type="submit" disabled={save.isPending}>
          Save: {items.length} measures
        </Button>
        <Button onClick={done}>Cancel</Button>
      </div>
    </form>
  );
}

function Motions({ body, picks, toggle }: { body: Body; picks: Pick[]; toggle: (motion: string) => void }) {
  const joints = [...new Set(body.motions.map((m) => m.joint))];
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">Motions, in the order you tick them</legend>
      <div className="grid gap-x-6 gap-y-3 sm:grid-cols-2 lg:grid-cols-4">
        {joints.map((joint) => (
          <div key={joint}>
            <p className="text-sm text-soft">{jointName(joint)}</p>
            {body.motions
              .filter((m) => m.joint === joint)
              .map((m) => (
                <label key={m.id} className="flex min-h-9 items-center gap-2">
                  <input
                    type="checkbox"
                    className="size-5 accent-(--ink)"
                    checked={picks.some((p) => p.motion === m.id)}
                    onChange={() => toggle(m.id)}
                  />
                  {m.name}
                </label>
              ))}
          </div>
        ))}
      </div>
    </fieldset>
  );
}
