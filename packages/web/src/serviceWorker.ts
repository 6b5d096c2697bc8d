/**
 * Keeps the app on the device, so that it opens without the server: every built file, and the page
 * itself for every address of the app. A new worker takes over at once; a page that is open stays
 * as it is (frame/Newer.tsx says so).
 */
import { clientsClaim } from 'workbox-core';
import {
  cleanupOutdatedCaches,
  createHandlerBoundToURL,
  precacheAndRoute,
  type PrecacheEntry,
} from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** The files of this build with their fingerprints: put in by keptOnDevice.ts. */
declare const KEPT_FILES: PrecacheEntry[];

void (self as unknown as { skipWaiting: () => Promise<void> }).skipWaiting();
clientsClaim();
precacheAndRoute(KEPT_FILES);
cleanupOutdatedCaches();
registerRoute(
  new NavigationRoute(createHandlerBoundToURL('/index.html'), {
    denylist: [/^\/api\//, /^\/assets\//],
  }),
);
