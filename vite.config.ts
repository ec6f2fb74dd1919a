import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

export default defineConfig({
    plugins: [laravel({ input: ['resources/js/main.ts'], refresh: false }), tailwindcss(), vue()],
    build: { sourcemap: false, target: 'es2022' },
});
