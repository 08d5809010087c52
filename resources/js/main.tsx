import '@fontsource-variable/archivo/index.css';
import '@fontsource-variable/atkinson-hyperlegible-next/index.css';
import createCache from '@emotion/cache';
import { CacheProvider } from '@emotion/react';
import CssBaseline from '@mui/material/CssBaseline';
import { ThemeProvider } from '@mui/material/styles';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { RouterProvider } from 'react-router';
import { isProblem } from './api/client';
import { mayBeKept } from './offline/mayBeKept';
import { TAKE_OVER } from './offline/takeOver';
import { router } from './router';
import { theme } from './theme';
import { SessionGate } from './session/SessionGate';

// The policy of the page allows style elements with this nonce only.
const nonce = document.querySelector<HTMLMetaElement>('meta[property=csp-nonce]')?.nonce;
const cache = createCache({ key: 's', nonce, prepend: true });

const client = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 5_000,
            // Without a network nothing is tried again: what is not on this device says so at once.
            retry: (failures, error) => isProblem(error) && error.isPassing && navigator.onLine && failures < 2,
            // What was opened once can be read without a network.
            networkMode: 'offlineFirst',
            refetchOnWindowFocus: true,
        },
        mutations: { networkMode: 'always' },
    },
});

const page = document.getElementById('page');
if (page) {
    createRoot(page).render(
        <StrictMode>
            <CacheProvider value={cache}>
                <ThemeProvider theme={theme} defaultMode="system">
                    <CssBaseline />
                    <QueryClientProvider client={client}>
                        <SessionGate>
                            <RouterProvider router={router} />
                        </SessionGate>
                    </QueryClientProvider>
                </ThemeProvider>
            </CacheProvider>
        </StrictMode>,
    );
}

if ('serviceWorker' in navigator) {
    if (!navigator.serviceWorker.controller) {
        // What was read before there was a worker is on no device yet: asked for once more, the worker keeps a copy of it.
        navigator.serviceWorker.addEventListener('controllerchange', copyWhatWasRead, { once: true });
        // A page that was on its way while the worker came to be, or was loaded anew past it, would stay without it, and without copies.
        void navigator.serviceWorker.ready.then(
            ({ active }) => navigator.serviceWorker.controller ?? active?.postMessage(TAKE_OVER),
        );
    }
    void navigator.serviceWorker.register('/sw.js');
}

/** Also what is on its way when the worker takes over. The screen stays as it is, whatever comes of it. */
function copyWhatWasRead() {
    const since = performance.now();
    new PerformanceObserver((list) => {
        for (const { name, startTime } of list.getEntries()) {
            if (startTime <= since && mayBeKept(new URL(name))) {
                fetch(name, { headers: { Accept: 'application/json' } }).catch(() => undefined);
            }
        }
    }).observe({ type: 'resource', buffered: true });
}
