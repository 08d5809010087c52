/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, precacheAndRoute } from 'workbox-precaching';
import { registerRoute } from 'workbox-routing';
import { asKept } from './offline/asKept';
import { mayBeKept } from './offline/mayBeKept';
import { TAKE_OVER } from './offline/takeOver';

declare const self: ServiceWorkerGlobalScope;

/** The page itself, and copies of what was read; the built parts are fetched ahead. */
const SHELL = 'sarcina-shell-2';
const READ = 'sarcina-read-2';

void self.skipWaiting();
clientsClaim();
cleanupOutdatedCaches();
precacheAndRoute(self.__WB_MANIFEST);

self.addEventListener('install', (event) => {
    event.waitUntil(caches.open(SHELL).then((cache) => cache.add('/')));
});

self.addEventListener('activate', (event) => {
    event.waitUntil(
        caches
            .keys()
            .then((names) =>
                Promise.all(
                    names
                        .filter((name) => /^sarcina-(shell|read)-/.test(name) && name !== SHELL && name !== READ)
                        .map((name) => caches.delete(name)),
                ),
            ),
    );
});

self.addEventListener('message', (event) => {
    if (event.data === TAKE_OVER) {
        event.waitUntil(self.clients.claim());
    }
});

registerRoute(
    // A file that is opened by its address is not the page.
    ({ request, url }) => request.mode === 'navigate' && !/^\/(api|schemas|build)\//.test(url.pathname),
    ({ request }) => networkFirst(request, SHELL, '/'),
);
registerRoute(
    ({ url, sameOrigin }) => sameOrigin && mayBeKept(url),
    ({ request }) => networkFirst(request, READ, request.url),
);

/** From the server; where that does not answer, as it was read last. */
async function networkFirst(request: Request, cacheName: string, key: string): Promise<Response> {
    const cache = await caches.open(cacheName);
    try {
        const answer = await fetch(request);
        if (answer.ok) {
            await cache.put(key, answer.clone());
        } else if ([502, 503, 504].includes(answer.status)) {
            const kept = await cache.match(key);
            return kept ? asKept(kept) : answer;
        }
        return answer;
    } catch (error) {
        const kept = await cache.match(key);
        if (kept) {
            return asKept(kept);
        }
        throw error;
    }
}
