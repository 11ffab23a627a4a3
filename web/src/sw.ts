/// <reference lib="webworker" />
import { createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';
import { KEPT } from './shared/offline';

type Cached = { url: string; revision: string | null; home: boolean };

declare const self: ServiceWorkerGlobalScope;

/** What a session that is open needs when it is opened again without a server. */
const NEEDED = [
  /^\/api\/runs\/[^/]+$/,
  /^\/api\/clients\/[^/]+\/day$/,
  /^\/api\/stop-signs$/,
  /^\/api\/home\/plan$/,
  /^\/api\/sign-in$/,
];
const PATIENCE_SECONDS = 4;

// A phone at home keeps its own part only.
const home = self.location.search === '?home';
precacheAndRoute((self.__WB_MANIFEST as Cached[]).filter((entry) => !home || entry.home));
registerRoute(new NavigationRoute(createHandlerBoundToURL('/home.html'), { allowlist: [/^\/home(\/|$)/] }));
if (!home)
  registerRoute(
    new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/home(\/|$)/, /^\/api\//] }),
  );
registerRoute(
  ({ url, request, sameOrigin }) =>
    sameOrigin && request.method === 'GET' && NEEDED.some((path) => path.test(url.pathname)),
  new NetworkFirst({
    cacheName: KEPT,
    networkTimeoutSeconds: PATIENCE_SECONDS,
    plugins: [{ cacheWillUpdate: ({ response }) => Promise.resolve(response.status === 200 ? response : null) }],
  }),
);
addEventListener('install', () => void self.skipWaiting());
addEventListener('activate', (event) => (event as ExtendableEvent).waitUntil(self.clients.claim()));
