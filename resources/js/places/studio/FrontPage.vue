<script setup lang="ts">
import JarView from '../../jar/JarView.vue';

/** What stands before the door: the jar, the name, and beside them whatever is asked. */
const bands = [
    { id: 'm', name: 'measured', percent: 52, matter: 'hard-fat' },
    { id: 'c', name: 'converted', percent: 30, matter: 'liquid' },
    { id: 'e', name: 'estimated', percent: 18, matter: 'active' },
];
</script>

<template>
    <main class="mx-auto grid min-h-screen max-w-5xl items-center gap-x-12 gap-y-8 px-6 py-10 md:grid-cols-[1fr_23rem]">
        <div class="flex items-end gap-8">
            <div class="max-sm:hidden">
                <JarView
                    :bands="bands"
                    :fill="0.86"
                    label="A jar whose bands are what is measured, what is converted and what is estimated"
                />
            </div>
            <div class="sm:pb-4">
                <p class="font-head text-[52px] leading-[0.95] font-extrabold tracking-tight max-sm:text-[34px]">
                    Honest
                    <br class="max-sm:hidden" />
                    Crown
                </p>
                <p class="mt-4 max-w-xs text-[17px]">
                    What your hair oil or butter truly is, how long it keeps, and what your hands do next. Every number says how it is
                    known.
                </p>
            </div>
        </div>
        <div class="min-w-0"><slot /></div>
    </main>
</template>
