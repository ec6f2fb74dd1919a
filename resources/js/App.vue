<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { RouterLink, RouterView, useRoute, useRouter } from 'vue-router';
import CommandLine from './ui/CommandLine.vue';
import KeysHelp from './ui/KeysHelp.vue';
import NoticeBar from './ui/NoticeBar.vue';
import MatterPatterns from './jar/MatterPatterns.vue';
import { acts, onKey, useActs } from './ui/acts';
import { useSession } from './ui/session';
import { theme, turnTheme } from './ui/theme';

/** The frame of every page: the places, the line that finds anything, the notice at the foot. */

const ALL = [
    ['today', 'Today'],
    ['formulas', 'Formulas'],
    ['steeps', 'Steeps'],
    ['make', 'Make'],
    ['pantry', 'Pantry'],
    ['heads', 'Heads'],
    ['rhythm', 'Rhythm'],
    ['papers', 'Papers'],
] as const;

const session = useSession();
const route = useRoute();
const router = useRouter();
const finding = ref(false);
const helping = ref(false);
const inside = computed(() => session.signedIn && !route.meta['open']);
const HELPED = ['today', 'steeps', 'make', 'rhythm'];
const places = computed(() => (session.may('make') ? ALL : ALL.filter(([name]) => HELPED.includes(name))));

function here(name: string): boolean {
    return name === 'today' ? route.path === '/' : route.path.startsWith(`/${name}`);
}

useActs([
    { label: 'Go to today', key: 't', run: () => void router.push('/') },
    { label: 'Make or see batches', key: 'm', run: () => void router.push('/make') },
    { label: 'How figures are worked out', run: () => void router.push('/methods') },
    { label: 'Light or dark', key: 'd', run: turnTheme },
    { label: 'Show the keys', key: '?', run: () => (helping.value = true) },
]);
// A helper makes none of these.
const MAKING = [
    { label: 'Go to formulas', key: 'f', run: () => void router.push('/formulas') },
    { label: 'Begin a formula', key: 'n', run: () => void router.push('/formulas/new') },
    { label: 'Paste a recipe', key: 'p', run: () => void router.push('/formulas/paste') },
    { label: 'Start a steep', key: 's', run: () => void router.push('/steeps/start') },
    { label: 'Add a person', key: 'h', run: () => void router.push('/heads/new') },
];
watch(
    () => session.may('make'),
    (may) => {
        for (const act of MAKING) if (acts.includes(act)) acts.splice(acts.indexOf(act), 1);
        if (may) acts.push(...MAKING);
    },
    { immediate: true },
);

function keys(event: KeyboardEvent): void {
    if (!inside.value) return;
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.preventDefault();
        finding.value = true;
        return;
    }
    onKey(event);
}
onMounted(() => window.addEventListener('keydown', keys));
onBeforeUnmount(() => window.removeEventListener('keydown', keys));
</script>

<template>
    <MatterPatterns />
    <RouterView v-if="!inside" />
    <div v-else class="min-h-screen md:grid md:grid-cols-[8.5rem_1fr]">
        <a href="#place" class="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-raised focus:p-3">Skip to the place</a>
        <nav aria-label="Places" class="no-print border-rule flex flex-col md:sticky md:top-0 md:h-screen md:border-r">
            <RouterLink
                to="/"
                class="text-ink hidden px-4 pt-4 pb-5 font-head text-[19px] leading-[1.05] font-extrabold no-underline md:block"
            >
                Honest
                <br />
                Crown
            </RouterLink>
            <ul class="flex flex-wrap md:block">
                <li v-for="[name, word] in places" :key="name">
                    <RouterLink
                        :to="name === 'today' ? '/' : `/${name}`"
                        :aria-current="here(name) ? 'page' : undefined"
                        class="block px-2.5 py-2 font-head text-[16px] no-underline md:px-4 md:py-1.5 md:text-[17px]"
                        :class="here(name) ? 'text-lead font-bold rail-here' : 'text-ink'"
                    >
                        {{ word }}
                    </RouterLink>
                </li>
            </ul>
            <div class="mt-auto hidden px-4 pb-4 text-[13px] md:block">
                <RouterLink to="/studio" class="text-quiet block">{{ session.studio?.name ?? 'Studio' }}</RouterLink>
                <button type="button" class="text-quiet mt-1 underline underline-offset-2" @click="turnTheme">
                    {{ theme === 'dark' ? 'Light' : 'Dark' }}
                </button>
            </div>
        </nav>
        <div class="min-w-0">
            <header class="no-print flex items-center gap-3 px-4 pt-3 md:px-6">
                <button type="button" class="border-rule text-quiet flex-1 border-b py-1.5 text-left" @click="finding = true">
                    Find or do anything
                    <kbd class="ml-2 hidden text-[12px] md:inline">Ctrl K</kbd>
                </button>
                <button type="button" class="act-quiet" aria-label="Show the keys" @click="helping = true">?</button>
                <RouterLink to="/studio" class="act-quiet md:hidden">Studio</RouterLink>
            </header>
            <main id="place" tabindex="-1" class="px-4 pt-4 pb-10 outline-none md:px-6">
                <RouterView :key="route.path" />
            </main>
        </div>
        <CommandLine v-model:open="finding" />
        <KeysHelp v-model:open="helping" />
        <NoticeBar />
    </div>
</template>

<style scoped>
.rail-here {
    box-shadow: inset 4px 0 0 var(--lead);
}
@media (max-width: 767px) {
    .rail-here {
        box-shadow: inset 0 -3px 0 var(--lead);
    }
}
</style>
