import { useEffect, useState } from 'react';
import { api, ask, newId, type Schemas } from '../../shared/api/client';
import { degrees } from '../../shared/units';
import { Button } from '../../shared/ui/Button';

type DeviceReading = Schemas['Reading'];
type Props = { take: (degrees: number) => void; expected: number };

const SILENCE_MS = 3000;

/** The simulated inclinometer: stream, zero, hold; what the samples mean is the server's. */
export function Inclinometer({ take, expected }: Props) {
  const [id] = useState(newId);
  const [end] = useState(() => Math.round(expected));
  const { reading, silent } = useStream(id, end);
  const [said, setSaid] = useState('');
  const path = { params: { path: { deviceId: id } } };
  const say = (e: unknown) => setSaid(e instanceof Error ? e.message : '');
  const hold = () =>
    ask(api.POST('/api/inclinometers/{deviceId}/hold', path)).then((r) => {
      setSaid('');
      if (r.held) take(r.held.degrees);
    }, say);
  const zero = () => ask(api.POST('/api/inclinometers/{deviceId}/zero', path)).then(() => setSaid('Zeroed here.'), say);
  const cable = (plugged: boolean) =>
    ask(api.POST('/api/inclinometers/{deviceId}/cable', { ...path, body: { in: plugged } })).then(
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
  return reading.held ? `● steady ${degrees(reading.held.degrees)}, spread ${reading.held.sd.toFixed(1)}°` : '○ moving';
}

/** Listens to the device; the browser opens the stream again by itself when it breaks. */
function useStream(id: string, end: number): { reading: DeviceReading | null; silent: boolean } {
  const [reading, setReading] = useState<DeviceReading | null>(null);
  const [silent, setSilent] = useState(false);
  useEffect(() => {
    let source: EventSource | undefined;
    let quiet: ReturnType<typeof setTimeout> | undefined;
    let gone = false;
    const connect = () =>
      ask(api.POST('/api/inclinometers', { body: { id, endDegrees: end, seed: 7 } })).then(
        () => {
          if (gone) return;
          source = new EventSource(`/api/inclinometers/${id}/stream`);
          source.onmessage = (event: MessageEvent<string>) => {
            setReading(JSON.parse(event.data) as DeviceReading);
            setSilent(false);
            clearTimeout(quiet);
            quiet = setTimeout(() => setSilent(true), SILENCE_MS);
          };
          source.onerror = () => setSilent(true);
        },
        () => setSilent(true),
      );
    void connect();
    return () => {
      gone = true;
      clearTimeout(quiet);
      source?.close();
      void api.DELETE('/api/inclinometers/{deviceId}', { params: { path: { deviceId: id } } });
    };
  }, [id, end]);
  return { reading, silent };
}
