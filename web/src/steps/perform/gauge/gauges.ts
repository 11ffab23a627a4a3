import { api, ask, SIDES, type Schemas, type Side } from '../../../shared/api/client';
import { DevicePage, type News } from '../../../shared/api/devices';

export type Manner = Schemas['NewGauge']['manner'];
export type Asked = Schemas['Ask'];

/** Force at a moment of the page's own clock. */
export type Sample = { at: number; tenths: number };
/** What a gauge is like: gone from the stream, unplugged, or there. */
export type GaugeState = { plugged: boolean; newtons: number };
export type GaugesView = { silent: boolean; gauges: Partial<Record<Side, GaugeState>> };

type Listener = (side: Side, samples: Sample[]) => void;
type PeakListener = (side: Side) => void;

const KEPT_MS = 12_000;
const NOTHING: Asked = { fromPercent: 0, toPercent: 0, seconds: 0, leftAfter: 0, contraction: 0 };

/**
 * The force gauges of this page, left and right. A gauge counts by its own clock; its samples are put on the page's by the
 * quickest message so far, which waited least on its way.
 */
export class Gauges {
  private readonly page = new DevicePage();
  private readonly offset = new Map<Side, number>();
  private readonly latest = new Map<Side, number>();
  private readonly recent = new Map<Side, Sample[]>();
  private readonly wanted = new Map<Side, Asked>();
  private readonly telling = new Map<Side, Promise<void>>();
  private readonly samplers = new Set<Listener>();
  private readonly peakListeners = new Set<PeakListener>();
  private readonly watchers = new Set<() => void>();
  private state: GaugesView = { silent: false, gauges: {} };

  view = () => this.state;
  watch = (watcher: () => void) => {
    this.watchers.add(watcher);
    return () => this.watchers.delete(watcher);
  };
  onSamples = (listener: Listener) => {
    this.samplers.add(listener);
    return () => this.samplers.delete(listener);
  };

  /** Each time a repetition has ended, by the gauge's own count. */
  onPeak = (listener: PeakListener) => {
    this.peakListeners.add(listener);
    return () => this.peakListeners.delete(listener);
  };

  constructor() {
    this.page.listen(this.told);
    this.page.onSilence((silent) => silent !== this.state.silent && this.show({ ...this.state, silent }));
  }

  /** One simulated gauge a side, each with an invented person of its own. */
  connect = async (manner: Manner, strengthNewtons: number) => {
    for (const side of SIDES) {
      await this.page.connect({ id: side, gauge: { side, manner, strengthNewtons, seed: side === 'LEFT' ? 11 : 12 } });
    }
  };

  close = () => this.page.close();

  /**
   * Tells the invented person what is asked from now on; a real gauge has nobody to tell. One after the other, for two on
   * their way at once may arrive in either order, and the last must win.
   */
  ask = (side: Side, asked: Asked | null) => {
    this.wanted.set(side, asked ?? NOTHING);
    const told = (this.telling.get(side) ?? Promise.resolve()).then(() => this.tell(side));
    this.telling.set(side, told);
  };

  private async tell(side: Side) {
    const body = this.wanted.get(side);
    if (!body) return;
    this.wanted.delete(side);
    await ask(
      api.POST('/api/devices/{page}/{deviceId}/ask', {
        params: { path: { page: this.page.id, deviceId: side } },
        body,
      }),
    ).catch(() => undefined);
  }

  cable = (side: Side, plugged: boolean) =>
    ask(
      api.POST('/api/devices/{page}/{deviceId}/cable', {
        params: { path: { page: this.page.id, deviceId: side } },
        body: { in: plugged },
      }),
    );

  between = (side: Side, from: number, to: number): Sample[] =>
    (this.recent.get(side) ?? []).filter((s) => s.at >= from && s.at < to);

  /** A quicker message shows that samples were put too late: what follows catches up, and no time goes backwards. */
  private placed(side: Side, tenths: number[], by: { firstMillis: number; everyMillis: number; offset: number }) {
    let last = this.latest.get(side) ?? -Infinity;
    const samples = tenths.map((t, i): Sample => {
      last = Math.max(by.firstMillis + by.everyMillis * i + by.offset, last + by.everyMillis / 2);
      return { at: last, tenths: t };
    });
    this.latest.set(side, last);
    return samples;
  }

  private told = (news: News, at: number) => {
    for (const { side, plugged, firstMillis, everyMillis, tenths, peaks } of news.forces) {
      const last = firstMillis + everyMillis * (tenths.length - 1);
      if (tenths.length > 0) this.offset.set(side, Math.min(this.offset.get(side) ?? Infinity, at - last));
      const samples = this.placed(side, tenths, { firstMillis, everyMillis, offset: this.offset.get(side) ?? at });
      const kept = [...(this.recent.get(side) ?? []), ...samples].filter((s) => s.at > at - KEPT_MS);
      this.recent.set(side, kept);
      const before = this.state.gauges[side];
      const newtons = (tenths[tenths.length - 1] ?? 0) / 10;
      if (before?.plugged !== plugged) {
        this.offset.delete(side);
        this.show({ ...this.state, gauges: { ...this.state.gauges, [side]: { plugged, newtons } } });
      } else this.state = { ...this.state, gauges: { ...this.state.gauges, [side]: { plugged, newtons } } };
      if (samples.length > 0) this.samplers.forEach((l) => l(side, samples));
      if (peaks > 0) this.peakListeners.forEach((l) => l(side));
    }
  };

  private show(state: GaugesView) {
    this.state = state;
    this.watchers.forEach((w) => w());
  }
}
