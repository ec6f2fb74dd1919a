import vue from '@vitejs/plugin-vue';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
    plugins: [vue()],
    root: fileURLToPath(new URL('../..', import.meta.url)),
    test: {
        environment: 'happy-dom',
        include: ['tests/front/**/*.test.ts'],
        setupFiles: ['tests/front/tidy.ts'],
        // Generous: these tests ask whether it works, on a machine that may be slow or busy.
        testTimeout: 60_000,
        hookTimeout: 60_000,
        restoreMocks: true,
        unstubGlobals: true,
    },
});
