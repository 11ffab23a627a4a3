import { api, newId, problem, type Schemas } from '../../../shared/api/client';
import { put, rememberDone, remove, waiting, type Entry } from './queue';

const RETRY_MS = 2_000;
const FULL = 'This device has no room left: make some, and keep this page open until then.';

/** How many finished blocks still wait on this device (null: not looked yet), and what stands in the way. */
export type OutboxState = { waiting: number | null; trouble: string | null };

const listeners = new Set<(state: OutboxState) => void>();
/** What the device's database would not take, in this page's memory. */
let held: Entry[] = [];
/** How many its database holds, as far as this page knows. */
let kept = 0;
let sending: Promise<boolean> | null = null;
/** One after the other, so that a correction never comes before what it corrects. */
let storing: Promise<void> = Promise.resolve();

/** Puts a finished block on its way. It stays on this device until the server has said yes. */
export function sendBlock(runId: string, block: Schemas['BlockRecord']) {
  rememberDone(runId, block.blockId);
  enqueue({ runId, post: { id: newId(), block } });
}

/** The same for what a gauge gave over it. */
export function sendTrace(runId: string, trace: Schemas['NewTrace']) {
  enqueue({ runId, trace });
}

function enqueue(entry: Entry) {
  held = [...held, entry];
  tell(null);
  // On the device at once, whatever is still on its way to the server.
  void store().then(flush);
}

function store(): Promise<void> {
  storing = storing.then(async () => {
    for (const entry of held) {
      try {
        await put(entry);
        kept++;
        held = held.filter((e) => e !== entry);
      } catch {
        break;
      }
    }
  });
  return storing;
}

/** Sends what waits, whichever session it is of; true when nothing waits any more. */
export function flush(): Promise<boolean> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

/** Tries again and again while the page is open, and tells how it goes. */
export function watchOutbox(listener: (state: OutboxState) => void): () => void {
  listeners.add(listener);
  const timer = setInterval(() => void flush(), RETRY_MS);
  void flush();
  return () => {
    listeners.delete(listener);
    clearInterval(timer);
  };
}

/** Round after round while blocks come in and nothing stands in the way. */
async function sendAll(): Promise<boolean> {
  for (;;) {
    const trouble = await sendRound();
    kept = (await waiting().catch(() => [])).length;
    const left = kept + held.length;
    if (left > 0 && trouble === null) continue;
    tell(left > 0 ? trouble : null);
    return left === 0;
  }
}

/** A refused block is kept and the others go on; without a server all wait. What stood in the way, if anything did. */
async function sendRound(): Promise<string | null> {
  await store();
  const refused = held;
  const stored = await waiting().catch(() => []);
  kept = stored.length;
  tell(null);
  let trouble: string | null = null;
  for (const { key, entry } of stored) {
    const { sent, away, words } = await sendOne(entry);
    if (sent) await remove(key);
    else trouble = words;
    if (away) return words;
  }
  return (await sendHeld(refused)) ? trouble : FULL;
}

/** What the device would not keep goes straight to the server; whether all of it went. */
async function sendHeld(refused: Entry[]): Promise<boolean> {
  for (const entry of refused) {
    const { sent } = await sendOne(entry);
    if (!sent) return false;
    held = held.filter((e) => e !== entry);
  }
  return true;
}

async function sendOne(entry: Entry): Promise<{ sent: boolean; away: boolean; words: string }> {
  const params = { path: { runId: entry.runId } };
  try {
    const { error, response } = await ('trace' in entry
      ? api.POST('/api/runs/{runId}/traces', { params, body: entry.trace })
      : api.POST('/api/runs/{runId}/blocks', { params, body: entry.post }));
    return { sent: response.ok, away: false, words: problem(response.status, error).message };
  } catch {
    return { sent: false, away: true, words: 'No server. The floor goes on; blocks wait on this device.' };
  }
}

function tell(trouble: string | null) {
  const state = { waiting: kept + held.length, trouble };
  listeners.forEach((listener) => listener(state));
}
