/** The pages and what an opened session needs stay on this device, where the browser allows it: on https and on this machine. */
export function keepOffline(home: boolean) {
  if (!('serviceWorker' in navigator) || !import.meta.env.PROD) return;
  addEventListener(
    'load',
    () =>
      void navigator.serviceWorker
        .register(home ? '/sw.js?home' : '/sw.js', { scope: home ? '/home' : '/' })
        .catch(() => undefined),
  );
}
