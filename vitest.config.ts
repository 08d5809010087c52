import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [react()],
    cacheDir: 'var/cache/vite',
    test: {
        environment: 'jsdom',
        environmentOptions: { jsdom: { url: 'http://127.0.0.1/' } },
        include: ['resources/js/**/*.test.{ts,tsx}'],
        setupFiles: ['resources/js/testing/setup.ts'],
        restoreMocks: true,
        testTimeout: 60_000,
    },
});
