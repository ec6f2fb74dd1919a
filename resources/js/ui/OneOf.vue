<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';

/** One of a few answers, all of them in sight. */
defineProps<{ legend: string; options: Readonly<Partial<Record<T, string>>>; large?: boolean }>();
const chosen = defineModel<T>();
const name = useId();
</script>

<template>
    <fieldset>
        <legend class="label">{{ legend }}</legend>
        <div class="flex flex-wrap gap-2">
            <label v-for="(word, value) in options" :key="value" class="chip" :class="large ? 'chip-large' : ''">
                <input v-model="chosen" type="radio" :name="name" :value="value" class="sr-only" />
                {{ word }}
            </label>
        </div>
    </fieldset>
</template>
