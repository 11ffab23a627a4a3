import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';

/** Asked for by a studio's screen only, and there only when it is needed. */
const STUDIO_ONLY =
  /\/(ClientHead|Fold|BeforeExtras|RecordExtras|gauges|recorder|GaugeBar|TraceCanvas|Traces|devices)-/;
/** What a script cannot be loaded without. */
const AT_ONCE = /(?:from|import)\s*["'`]\.\/([\w.-]+\.js)["'`]/g;
const NAMED = /["'`](?:\.\/|\/)?((?:assets\/)?[\w.-]+\.(?:js|css))["'`]/g;

/** What a client's phone keeps: home's page and all that it loads, but for what only a studio's screen asks for. */
export function homeFiles(dist: string): string[] {
  const found = new Set<string>();
  const walk = (file: string) => {
    if (found.has(file) || !existsSync(join(dist, file))) return;
    found.add(file);
    if (!/\.(js|html)$/.test(file)) return;
    const text = readFileSync(join(dist, file), 'utf8');
    for (const [, name] of text.matchAll(AT_ONCE)) walk(`assets/${name}`);
    for (const [, name = ''] of text.matchAll(NAMED)) {
      const named = name.startsWith('assets/') ? name : `assets/${name}`;
      if (!STUDIO_ONLY.test(named)) walk(named);
    }
  };
  walk('home.html');
  return [...found];
}

export function gzippedBytes(dist: string, files: string[]): number {
  return files.reduce((sum, file) => sum + gzipSync(readFileSync(join(dist, file)), { level: 9 }).length, 0);
}
