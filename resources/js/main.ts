/** Starts the application in the page. */
import '../css/app.css';
import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { Problem } from './api/client';
import { newest } from './queries/newest';
import { router } from './router';
import { applyTheme } from './ui/theme';

applyTheme();

const client = new QueryClient({
    defaultOptions: {
        queries: {
            staleTime: 5_000,
            structuralSharing: newest,
            refetchOnWindowFocus: true,
            retry: (count, error) => count < 3 && error instanceof Problem && error.passes,
        },
        // The application answers from this machine: being without a network is no reason to wait.
        mutations: { networkMode: 'always' },
    },
});

createApp(App).use(createPinia()).use(VueQueryPlugin, { queryClient: client }).use(router).mount('#app');
