<script setup lang="ts" generic="T extends string">
/** Any of a few answers, all of them in sight. What stands in the slot comes before them. */
defineProps<{ legend: string; options: Readonly<Record<T, string>>; grave?: boolean }>();
const chosen = defineModel<T[]>({ required: true });
</script>

<template>
    <fieldset>
        <legend class="label">{{ legend }}</legend>
        <div class="flex flex-wrap gap-2">
            <slot />
            <label
                v-for="(word, value) in options"
                :key="value"
                class="chip"
                :class="grave ? 'has-checked:!bg-stop has-checked:!text-white' : ''"
            >
                <input v-model="chosen" type="checkbox" :value="value" class="sr-only" />
                {{ word }}
            </label>
        </div>
    </fieldset>
</template>
