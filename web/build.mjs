// Builds the pages for Maven: installs packages and builds only when their files changed since the last time.
import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const STAMPS = '.build';

function files(path) {
  return statSync(path).isDirectory()
    ? readdirSync(path)
        .sort()
        .flatMap((name) => files(join(path, name)))
    : [path];
}

function hashOf(paths) {
  const hash = createHash('sha256');
  for (const file of paths.filter(existsSync).flatMap(files)) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

function whenChanged(name, paths, result, work) {
  const stamp = join(STAMPS, name);
  const now = hashOf(paths);
  if (existsSync(result) && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  work();
  mkdirSync(STAMPS, { recursive: true });
  writeFileSync(stamp, now);
}

function npm(...args) {
  execFileSync('npm', args, { stdio: ['ignore', 'inherit', 'inherit'] });
}

const packages = ['package.json', 'package-lock.json'];
const sources = [
  'src',
  'public',
  'index.html',
  'home.html',
  'openapi.json',
  'vite.config.ts',
  'bundle.ts',
  'tsconfig.json',
  'eslint.config.mjs',
  '.prettierrc.json',
  'build.mjs',
];

whenChanged('packages', packages, 'node_modules', () => npm('ci', '--silent'));
const only = process.argv[2];
if (only === 'packages') process.exit(0);
whenChanged('types', [...packages, 'openapi.json'], 'src/shared/api/schema.d.ts', () =>
  npm('run', '--silent', 'types'),
);
if (only === 'check') {
  whenChanged('check', [...packages, ...sources], 'node_modules', () => npm('run', '--silent', 'check'));
} else {
  whenChanged('pages', [...packages, ...sources], 'dist/index.html', () => npm('run', '--silent', 'build'));
}
