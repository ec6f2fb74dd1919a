<script setup lang="ts">
import { rowAt, type Lit } from '../litText';

/** Figures that stand in no line and no step: what each is, and where it stands. */
defineProps<{ text: string; unplaced: Lit[] }>();
const emit = defineEmits<{ show: [at: Lit] }>();
</script>

<template>
    <section v-if="unplaced.length > 0" class="border-stop bg-stop-wash rounded border p-3" aria-labelledby="unplaced">
        <h2 id="unplaced" class="said-stop !text-[15px]">
            {{ unplaced.length === 1 ? 'One figure stands' : `${unplaced.length} figures stand` }} in no line and no step
        </h2>
        <div class="-ml-2.5 flex flex-wrap">
            <button
                v-for="one in unplaced"
                :key="one.start"
                type="button"
                class="act-quiet"
                :aria-label="`Show ${text.slice(one.start, one.end)} in the text`"
                @click="emit('show', one)"
            >
                {{ text.slice(one.start, one.end) }}
                <span class="quiet max-w-60 truncate font-normal">{{ rowAt(text, one.start).trim() }}</span>
            </button>
        </div>
    </section>
</template>
