import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Schemas } from '../../../shared/api/client';
import { DONE, user } from '../../../shared/offline';

/** A finished block or its trace on its way, with the id that this device made for it. */
export type Entry = { runId: string } & ({ post: Schemas['NewBlock'] } | { trace: Schemas['NewTrace'] });

interface Device extends DBSchema {
  outbox: { key: number; value: Entry };
}

const STORE = 'outbox';
const opened: Record<string, Promise<IDBPDatabase<Device>>> = {};

/** Everybody who uses this device has a queue of their own: it is sent by whoever filled it. */
function device(): Promise<IDBPDatabase<Device>> {
  const name = `gradino ${user.id}`;
  return (opened[name] ??= openDB<Device>(name, 1, {
    upgrade: (db) => void db.createObjectStore(STORE, { autoIncrement: true }),
  }).catch((error: unknown) => {
    // Tried anew the next time: there may be room again.
    // eslint-disable-next-line @typescript-eslint/no-dynamic-delete
    delete opened[name];
    throw error;
  }));
}

/** Kept when it resolves, even if the power goes the next moment. */
export async function put(entry: Entry): Promise<void> {
  const tx = (await device()).transaction(STORE, 'readwrite', { durability: 'strict' });
  await tx.store.add(entry);
  await tx.done;
}

/** All that waits, oldest first. */
export async function waiting(): Promise<{ key: number; entry: Entry }[]> {
  const tx = (await device()).transaction(STORE);
  const [keys, entries] = await Promise.all([tx.store.getAllKeys(), tx.store.getAll()]);
  return entries.flatMap((entry, i) => (keys[i] === undefined ? [] : [{ key: keys[i], entry }]));
}

/** Finished blocks of a session that are on this device only. */
export async function waitingBlocks(runId: string): Promise<string[]> {
  const all = await waiting().catch(() => []);
  return all.flatMap(({ entry }) => (entry.runId === runId && 'post' in entry ? [entry.post.block.blockId] : []));
}

export async function remove(key: number): Promise<void> {
  await (await device()).delete(STORE, key);
}

/** Remembers which blocks were done on this device: a floor that is opened again without a server must not ask for them anew. */
export function rememberDone(runId: string, blockId: string) {
  try {
    localStorage.setItem(DONE + runId, JSON.stringify([...new Set([...doneHere(runId), blockId])]));
  } catch {
    // A full device has said so already, at the queue.
  }
}

export function doneHere(runId: string): string[] {
  return JSON.parse(localStorage.getItem(DONE + runId) ?? '[]') as string[];
}

export function forgetDone(runId: string) {
  localStorage.removeItem(DONE + runId);
}
