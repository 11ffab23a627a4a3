/** What the service worker keeps of an opened session. */
export const KEPT = 'gradino-floor';

/** Before the names of what remembers which blocks of a session were done here. */
export const DONE = 'gradino.done.';

/** Whose queue of finished blocks this page fills: an account, or a client at home. */
export const user = { id: '' };

/** Whoever signs out leaves nothing of anybody on the device, but what is still on its way under their own name. */
export async function forgetKept() {
  for (const key of Object.keys(localStorage)) if (key.startsWith(DONE)) localStorage.removeItem(key);
  sessionStorage.clear();
  if ('caches' in globalThis) await caches.delete(KEPT);
}
