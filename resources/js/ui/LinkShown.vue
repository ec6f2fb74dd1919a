<script setup lang="ts">
import QRCode from 'qrcode';
import { ref, watch } from 'vue';
import { tell } from './notice';

/** A link that is shown only now, in words and as a code for a camera. */
const props = defineProps<{ link: string; says: string }>();
const code = ref('');
watch(
    () => props.link,
    async (link) => (code.value = await QRCode.toString(link, { type: 'svg', margin: 1 })),
    { immediate: true },
);
async function copy(): Promise<void> {
    try {
        await navigator.clipboard.writeText(props.link);
        tell('The link is copied.');
    } catch {
        tell('It could not be copied here. Mark the link and copy it.', { stop: true });
    }
}
</script>

<template>
    <div class="border-rule bg-raised flex flex-wrap gap-4 rounded border p-3" aria-live="polite">
        <!-- eslint-disable-next-line vue/no-v-html -- drawn by us, of a link of ours -->
        <div class="w-36 bg-white p-1" role="img" aria-label="The link as a code for a camera" v-html="code" />
        <div class="min-w-48 flex-1">
            <p>{{ says }} It is shown only now.</p>
            <p class="mt-1 break-all">
                <code>{{ link }}</code>
            </p>
            <button type="button" class="act-quiet -ml-2.5" @click="copy">Copy the link</button>
        </div>
    </div>
</template>
