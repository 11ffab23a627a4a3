import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** What a client's phone keeps: home's page and all that it loads, but for what only a studio's screen asks for. */
export function homeFiles(dist: string): string[] {
  const found = new Set<string>();
  const walk = (file: string) => {
    if (
      found.has(file) ||
      !existsSync(join(dist, file)) ||
      /\/(studioOnly|gauges|recorder|GaugeBar|TraceCanvas|Traces|MeasureNow|devices)-/.test(file)
    )
      return;
    found.add(file);
    if (!/\.(js|html)$/.test(file)) return;
    for (const [, name] of readFileSync(join(dist, file), 'utf8').matchAll(
      /["'`](?:\.\/|\/)?((?:assets\/)?[\w.-]+\.(?:js|css))["'`]/g,
    )) {
      if (name) walk(name.startsWith('assets/') ? name : `assets/${name}`);
    }
  };
  walk('home.html');
  return [...found];
}

export function gzippedBytes(dist: string, files: string[]): number {
  return files.reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file)), { level: 9 }).length, 0);
}
