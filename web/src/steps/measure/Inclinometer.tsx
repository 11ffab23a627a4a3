import { useEffect, useState } from 'react';
import { api, ask, type Schemas } from '../../shared/api/client';
import { DevicePage } from '../../shared/api/devices';
import { degrees, fixed } from '../../shared/units';
import { Button } from '../../shared/ui/Button';

type DeviceReading = Schemas['Reading'];
type Props = { take: (degrees: number) => void; expected: number };

const ID = 'inclinometer';

/** The simulated inclinometer: stream, zero, hold; what the samples mean is the server's. */
export function Inclinometer({ take, expected }: Props) {
  const [end] = useState(() => Math.round(expected));
  const { page, reading, silent } = useStream(end);
  const [said, setSaid] = useState('');
  const path = { params: { path: { page: page?.id ?? '', deviceId: ID } } };
  const say = (e: unknown) => setSaid(e instanceof Error ? e.message : '');
  const hold = () =>
    ask(api.POST('/api/devices/{page}/{deviceId}/hold', path)).then((r) => {
      setSaid('');
      if (r.held) take(r.held.degrees);
    }, say);
  const zero = () =>
    ask(api.POST('/api/devices/{page}/{deviceId}/zero', path)).then(() => setSaid('Zeroed here.'), say);
  const cable = (plugged: boolean) =>
    ask(api.POST('/api/devices/{page}/{deviceId}/cable', { ...path, body: { in: plugged } })).then(
      () => setSaid(''),
      say,
    );
  const plugged = reading?.plugged ?? false;
  return (
    <div className="mb-4 border-2 border-rule bg-card p-4" role="group" aria-label="Inclinometer">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-2">
        <p className="min-w-40 text-5xl font-bold" aria-label="Angle now">
          {plugged && reading?.degrees !== undefined ? degrees(reading.degrees) : '–'}
        </p>
        <p role="status" className={plugged && !silent ? 'text-soft' : 'font-semibold text-warn'}>
          {state(reading, silent)}
        </p>
      </div>
      <div className="mt-3 flex flex-wrap gap-2">
        <Button look="main" onClick={hold} disabled={!plugged}>
          Hold this reading
        </Button>
        <Button onClick={zero} disabled={!plugged}>
          Zero here
        </Button>
        <Button onClick={() => cable(!plugged)}>{plugged ? 'Pull the cable' : 'Plug it in again'}</Button>
      </div>
      <p className="mt-2 text-sm text-soft">
        {said || 'A simulated device on an invented limb: it rests, goes to its end, holds and comes back.'}
      </p>
    </div>
  );
}

function state(reading: DeviceReading | null, silent: boolean): string {
  if (!reading) return 'Connecting…';
  if (!reading.plugged) return '▲ Cable out: type the angle, or plug it in again.';
  if (silent) return '▲ No signal: connecting again…';
  return reading.held ? `● steady ${degrees(reading.held.degrees)}, spread ${fixed(reading.held.sd, 1)}°` : '○ moving';
}

function useStream(end: number) {
  const [page, setPage] = useState<DevicePage | null>(null);
  const [reading, setReading] = useState<DeviceReading | null>(null);
  const [silent, setSilent] = useState(false);
  useEffect(() => {
    const opened = new DevicePage();
    opened.listen(({ angles }) => angles[0] && setReading(angles[0]));
    opened.onSilence(setSilent);
    opened.connect({ id: ID, inclinometer: { endDegrees: end, seed: 7 } }).then(
      () => setPage(opened),
      () => setSilent(true),
    );
    return opened.close;
  }, [end]);
  return { page, reading, silent };
}
