import { api, newId, problem, type Schemas } from '../../shared/api/client';

type NewBlock = Schemas['NewBlock'];
type Entry = { sessionId: string; post: NewBlock };

const KEY = 'gradino.outbox';
const RETRY_MS = 2_000;

/** Finished blocks on their way to the server. They stay on this device until the server has said yes. */
export type Outbox = {
  add: (sessionId: string, block: Schemas['BlockRecord']) => void;
  /** Sends what waits; true when nothing waits any more. */
  flush: () => Promise<boolean>;
  stop: () => void;
};

export function makeOutbox(onChange: (waiting: number, trouble: string | null) => void): Outbox {
  let sending: Promise<boolean> | null = null;
  const timer = setInterval(() => {
    if (read().length > 0) void flush();
  }, RETRY_MS);

  const send = async (): Promise<boolean> => {
    for (let entry = read()[0]; entry; entry = read()[0]) {
      const trouble = await sendOne(entry);
      if (trouble !== null) {
        onChange(read().length, trouble);
        return false;
      }
      const sentId = entry.post.id;
      write(read().filter((e) => e.post.id !== sentId));
    }
    onChange(0, null);
    return true;
  };
  const flush = () => {
    sending ??= send().finally(() => {
      sending = null;
    });
    return sending;
  };
  return {
    add: (sessionId, block) => {
      write([...read(), { sessionId, post: { id: newId(), block } }]);
      onChange(read().length, null);
      void flush();
    },
    flush,
    stop: () => clearInterval(timer),
  };
}

/** Null when stored, otherwise what stands in the way. */
async function sendOne({ sessionId, post }: Entry): Promise<string | null> {
  try {
    const { error, response } = await api.POST('/api/sessions/{sessionId}/blocks', {
      params: { path: { sessionId } },
      body: post,
    });
    return response.ok ? null : problem(response.status, error).message;
  } catch {
    return 'No server. The floor goes on; blocks wait on this device.';
  }
}

function read(): Entry[] {
  return JSON.parse(localStorage.getItem(KEY) ?? '[]') as Entry[];
}

function write(entries: Entry[]) {
  localStorage.setItem(KEY, JSON.stringify(entries));
}
