/// <reference lib="webworker" />
import { cleanupOutdatedCaches, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

/**
 * Lets the patient's pages open without a network: their files are kept, and the page itself is taken from the network
 * when there is one. What the pages show and what waits to be sent is no business of the worker: the pages keep it.
 */
declare const self: ServiceWorkerGlobalScope & { ivoryPaceFiles: PrecacheEntry[] };

const SHELL = '/my';
const PATIENCE_S = 4;

precacheAndRoute(self.ivoryPaceFiles);
cleanupOutdatedCaches();

const shell = new NetworkFirst({ cacheName: 'ivory-pace-shell', networkTimeoutSeconds: PATIENCE_S });
// Every page of the patient is the same file.
registerRoute(
    new NavigationRoute(
        ({ event }) => shell.handle({ event, request: new Request(SHELL, { credentials: 'same-origin' }) }),
        { allowlist: [/^\/my(\/|$)/] },
    ),
);

self.addEventListener('install', (event) => {
    // The page that is kept and its files belong together: a new worker takes over as soon as it has them all.
    void self.skipWaiting();
    event.waitUntil(shell.handle({ event, request: new Request(SHELL, { credentials: 'same-origin' }) }));
});
// The first visit is enough.
self.addEventListener('activate', (event) => {
    event.waitUntil(self.clients.claim());
});
