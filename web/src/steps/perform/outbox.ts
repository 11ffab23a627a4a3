import { api, newId, problem, type Schemas } from '../../shared/api/client';

type Entry = { sessionId: string; post: Schemas['NewBlock'] };

const KEY = 'gradino.outbox';
const RETRY_MS = 2_000;

/** How many finished blocks still wait on this device, and what stands in the way. */
export type OutboxState = { waiting: number; trouble: string | null };

const listeners = new Set<(state: OutboxState) => void>();
let sending: Promise<boolean> | null = null;

/** Puts a finished block on its way. It stays on this device until the server has said yes. */
export function sendBlock(sessionId: string, block: Schemas['BlockRecord']) {
  write([...read(), { sessionId, post: { id: newId(), block } }]);
  tell({ waiting: read().length, trouble: null });
  void flush();
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
  const timer = setInterval(() => {
    if (read().length > 0) void flush();
  }, RETRY_MS);
  return () => {
    listeners.delete(listener);
    clearInterval(timer);
  };
}

/** A refused block is kept and the others go on; without a server all wait. */
async function sendAll(): Promise<boolean> {
  let trouble: string | null = null;
  for (const entry of read()) {
    const { sent, away, words } = await sendOne(entry);
    if (sent) write(read().filter((e) => e.post.id !== entry.post.id));
    else trouble = words;
    if (away) break;
  }
  const waiting = read().length;
  tell({ waiting, trouble: waiting > 0 ? trouble : null });
  return waiting === 0;
}

async function sendOne({ sessionId, post }: Entry): Promise<{ sent: boolean; away: boolean; words: string }> {
  try {
    const { error, response } = await api.POST('/api/sessions/{sessionId}/blocks', {
      params: { path: { sessionId } },
      body: post,
    });
    return { sent: response.ok, away: false, words: problem(response.status, error).message };
  } catch {
    return { sent: false, away: true, words: 'No server. The floor goes on; blocks wait on this device.' };
  }
}

function tell(state: OutboxState) {
  listeners.forEach((listener) => listener(state));
}

function read(): Entry[] {
  return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Entry[];
}

function write(entries: Entry[]) {
  localStorage.setItem(KEY, JSON.stringify(entries));
}
