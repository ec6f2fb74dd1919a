import tailwindcss from '@tailwindcss/vite';
import vue from '@vitejs/plugin-vue';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
    plugins: [
        laravel({ input: ['resources/js/main.ts'], refresh: false }),
        tailwindcss(),
        vue(),
        // The counter goes on without a network: what the page is made of is kept, and never what a maker has written.
        VitePWA({
            injectRegister: null,
            manifest: false,
            registerType: 'autoUpdate',
            outDir: 'public/build',
            base: '/build/',
            scope: '/',
            workbox: {
                globDirectory: 'public/build',
                globPatterns: ['assets/*.{js,css,woff2}'],
                modifyURLPrefix: { '': '/build/' },
                navigateFallback: null,
                cleanupOutdatedCaches: true,
                clientsClaim: true,
                skipWaiting: true,
                runtimeCaching: [
                    {
                        urlPattern: ({ request, url }) => request.mode === 'navigate' && url.pathname.startsWith('/make/'),
                        handler: 'NetworkFirst',
                        // One page serves every batch: which one it is, its script reads from the address.
                        options: { cacheName: 'counter-shell', plugins: [{ cacheKeyWillBeUsed: () => Promise.resolve('/make') }] },
                    },
                ],
            },
        }),
    ],
    build: { sourcemap: false, target: 'es2022' },
});
