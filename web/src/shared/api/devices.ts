import { useEffect, useState } from 'react';
import { api, ask, newId, type Schemas } from './client';

export type News = Schemas['News'];

const SILENCE_MS = 3000;
const AGAIN_MS = 2000;

type Listener = (news: News, at: number) => void;

/** This page's devices and the one stream that carries all of them. The browser opens it again by itself when it breaks. */
export class DevicePage {
  readonly id = newId();
  private readonly listeners = new Set<Listener>();
  private readonly silence = new Set<(silent: boolean) => void>();
  private readonly wanted: Schemas['NewDevice'][] = [];
  private source: EventSource | null = null;
  private quiet: ReturnType<typeof setTimeout> | undefined;
  private closed = false;

  connect = async (device: Schemas['NewDevice']) => {
    this.wanted.push(device);
    await this.open();
  };

  listen = (listener: Listener) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  onSilence = (listener: (silent: boolean) => void) => {
    this.silence.add(listener);
    return () => this.silence.delete(listener);
  };

  close = () => {
    this.closed = true;
    clearTimeout(this.quiet);
    this.source?.close();
    void api.DELETE('/api/devices/{page}', { params: { path: { page: this.id } } }).catch(() => undefined);
  };

  /** Says again which devices are meant: a server that was started anew has forgotten them. */
  private open = async () => {
    try {
      for (const device of this.wanted) {
        await ask(api.POST('/api/devices/{page}', { params: { path: { page: this.id } }, body: device }));
      }
      if (this.closed || this.source) return;
      const source = new EventSource(`/api/devices/${this.id}/stream`);
      this.source = source;
      source.onmessage = (event: MessageEvent<string>) => {
        this.heard();
        const at = performance.now();
        const news = JSON.parse(event.data) as News;
        this.listeners.forEach((l) => l(news, at));
      };
      source.onerror = () => {
        this.silent(true);
        if (source.readyState === EventSource.CLOSED) this.again();
      };
    } catch (error) {
      this.silent(true);
      if (this.source === null && this.wanted.length > 0) this.again();
      throw error;
    }
  };

  private again = () => {
    this.source?.close();
    this.source = null;
    if (!this.closed) setTimeout(() => void this.open().catch(() => undefined), AGAIN_MS);
  };

  private heard() {
    this.silent(false);
    clearTimeout(this.quiet);
    this.quiet = setTimeout(() => this.silent(true), SILENCE_MS);
  }

  private silent(now: boolean) {
    this.silence.forEach((l) => l(now));
  }
}

/** A page of devices for as long as what uses it is shown. */
export function useDevicePage(): DevicePage {
  const [page] = useState(() => new DevicePage());
  useEffect(() => () => page.close(), [page]);
  return page;
}
