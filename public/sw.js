/* What was opened once can be read without a network: the page itself, its built parts, and answers that were read. */
const SHELL = 'sarcina-shell-1';
const READ = 'sarcina-read-1';

self.addEventListener('install', (event) => {
    event.waitUntil(caches.open(SHELL).then((cache) => cache.add('/')).then(() => self.skipWaiting()));
});

self.addEventListener('activate', (event) => {
    event.waitUntil(
        caches
            .keys()
            .then((names) => Promise.all(names.filter((name) => name !== SHELL && name !== READ).map((name) => caches.delete(name))))
            .then(() => self.clients.claim()),
    );
});

async function networkFirst(request, cacheName, key) {
    const cache = await caches.open(cacheName);
    try {
        const answer = await fetch(request);
        if (answer.ok) {
            await cache.put(key, answer.clone());
        } else if (answer.status === 502 || answer.status === 503 || answer.status === 504) {
            return (await cache.match(key)) ?? answer;
        }
        return answer;
    } catch (error) {
        const kept = await cache.match(key);
        if (kept) {
            return kept;
        }
        throw error;
    }
}

async function builtPart(request) {
    const cache = await caches.open(SHELL);
    const kept = await cache.match(request);
    if (kept) {
        return kept;
    }
    const answer = await fetch(request);
    if (answer.ok) {
        await cache.put(request, answer.clone());
    }
    return answer;
}

self.addEventListener('fetch', (event) => {
    const { request } = event;
    const url = new URL(request.url);
    if (request.method !== 'GET' || url.origin !== self.location.origin) {
        return;
    }
    if (request.mode === 'navigate') {
        event.respondWith(networkFirst(request, SHELL, '/'));
    } else if (url.pathname.startsWith('/build/')) {
        event.respondWith(builtPart(request));
    } else if (url.pathname.startsWith('/api/') && !url.pathname.endsWith('/file')) {
        event.respondWith(networkFirst(request, READ, request.url));
    }
});
