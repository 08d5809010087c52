import react from '@vitejs/plugin-react';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
    plugins: [
        laravel({ input: 'resources/js/main.tsx', refresh: false }),
        react(),
        VitePWA({
            strategies: 'injectManifest',
            srcDir: 'resources/js',
            filename: 'sw.ts',
            // Served from the root, so that it may serve every screen; what it fetches ahead lies under /build.
            outDir: 'public',
            injectManifest: {
                globDirectory: 'public/build',
                globPatterns: ['assets/**/*.{js,css,woff2}'],
                modifyURLPrefix: { '': '/build/' },
                maximumFileSizeToCacheInBytes: 3_000_000,
            },
            injectRegister: false,
            // Written by hand in public/, where the icons are.
            manifest: false,
        }),
    ],
    build: { target: 'es2022', assetsInlineLimit: 0, chunkSizeWarningLimit: 900 },
});
