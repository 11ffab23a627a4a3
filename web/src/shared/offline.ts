/** What the service worker keeps of an opened session. */
export const KEPT = 'gradino-floor';

/** Whoever signs out leaves nothing of anybody on the device. */
export async function forgetKept() {
  if ('caches' in globalThis) await caches.delete(KEPT);
}
