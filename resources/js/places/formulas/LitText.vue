<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import { pieces, type Lit } from './litText';

/**
 * A text that is typed and read at once: its words light up by what they became. The box is the browser's own, with its undo and
 * its keys; behind it lies the same text, lit.
 */
const text = defineModel<string>({ required: true });
const props = defineProps<{ lit: Lit[]; chosen: Lit | null; doubtful: Set<number>; placeholder: string }>();
const emit = defineEmits<{ press: [lit: Lit | null] }>();

const box = useTemplateRef<HTMLTextAreaElement>('box');
const shown = computed(() => pieces(text.value, props.lit));

function classOf(lit: Lit): string {
    const doubt = (lit.fate === 'name' || lit.fate === 'amount') && lit.of !== null && props.doubtful.has(lit.of);
    return [`lit-${lit.fate}`, doubt ? 'lit-doubt' : '', isChosen(lit) ? 'lit-chosen' : ''].join(' ');
}
function isChosen(lit: Lit): boolean {
    return props.chosen !== null && lit.start === props.chosen.start && lit.fate === props.chosen.fate;
}
/** The word at the caret, when nothing is selected: pressed, or walked to by keys. */
function caret(): void {
    const at = box.value;
    if (!at || at.selectionStart !== at.selectionEnd) return;
    const place = at.selectionStart;
    emit('press', props.lit.find((l) => l.start <= place && place <= l.end && (place < l.end || l.end === text.value.length)) ?? null);
}
defineExpose({
    show(start: number, end: number): void {
        box.value?.focus();
        box.value?.setSelectionRange(start, end);
    },
});
</script>

<template>
    <div class="lit-box field !p-0">
        <div class="lit-under" aria-hidden="true">
            <template v-for="(piece, i) in shown" :key="i">
                <span v-if="piece.lit" :class="classOf(piece.lit)">{{ piece.text }}</span>
                <template v-else>{{ piece.text }}</template>
            </template>
            <br />
        </div>
        <textarea
            id="recipe"
            ref="box"
            v-model="text"
            class="lit-over"
            spellcheck="false"
            :placeholder="placeholder"
            @click="caret"
            @keyup.left="caret"
            @keyup.right="caret"
            @keyup.up="caret"
            @keyup.down="caret"
        />
    </div>
</template>
