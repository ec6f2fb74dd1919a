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
        restoreMocks: true,
        unstubGlobals: true,
    },
});
