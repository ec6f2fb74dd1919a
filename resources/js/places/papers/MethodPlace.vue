<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import MarkdownIt from 'markdown-it';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { methodQuery, methodsQuery } from '../../queries/methods';
import WaitOrProblem from '../../ui/WaitOrProblem.vue';

/** How figures are worked out: the rule, its figures, an example worked by hand, where it comes from and where it ends. */
const props = defineProps<{ name?: string }>();
const router = useRouter();
const list = useQuery(methodsQuery());
const wanted = computed(() => props.name ?? '');
const { data, isPending, error, refetch } = useQuery(computed(() => methodQuery(wanted.value)));

// The text ships with the application; HTML in it would be shown as it is written.
const markdown = new MarkdownIt({ html: false });
const html = computed(() => markdown.render(data.value?.text ?? '').replaceAll(/href="([a-z-]+)\.md"/g, 'href="/methods/$1"'));

/** A link from one page to another stays within the application. */
function follow(event: MouseEvent): void {
    const to = event.target instanceof Element ? event.target.closest('a')?.getAttribute('href') : null;
    if (!to?.startsWith('/methods/') || event.ctrlKey || event.metaKey || event.shiftKey) return;
    event.preventDefault();
    void router.push(to);
}
</script>

<template>
    <div class="grid gap-x-12 gap-y-8 lg:grid-cols-[14rem_minmax(0,46rem)]">
        <nav aria-label="Methods" class="no-print">
            <p v-if="wanted" class="font-head mb-2 text-[17px] font-semibold">How it is worked out</p>
            <ul class="columns-2 lg:columns-1">
                <li v-for="page in list.data.value?.items ?? []" :key="page.name">
                    <RouterLink
                        :to="`/methods/${page.name}`"
                        class="block py-0.5"
                        :class="page.name === wanted ? 'font-bold !no-underline' : ''"
                        :aria-current="page.name === wanted ? 'page' : undefined"
                    >
                        {{ page.title }}
                    </RouterLink>
                </li>
            </ul>
        </nav>
        <article v-if="wanted">
            <WaitOrProblem :pending="isPending" :error="error" what="the page" @again="refetch">
                <h1>{{ data?.title }}</h1>
                <!-- eslint-disable-next-line vue/no-v-html -->
                <div class="method mt-4" @click="follow" v-html="html" />
            </WaitOrProblem>
        </article>
        <div v-else>
            <h1>How it is worked out</h1>
            <p class="mt-2">
                Every figure here is measured, converted or estimated, and has a page that says how: the rule, an example worked by hand
                that a test holds to, where it comes from and where it ends. Choose one; the figures themselves lead here too.
            </p>
        </div>
    </div>
</template>

<style scoped>
.method :deep(p),
.method :deep(ul),
.method :deep(ol) {
    margin-top: 0.75rem;
}
.method :deep(ul) {
    list-style: disc;
    padding-left: 1.2rem;
}
.method :deep(ol) {
    list-style: decimal;
    padding-left: 1.4rem;
}
.method :deep(table) {
    margin-top: 0.9rem;
    border-collapse: collapse;
}
.method :deep(th),
.method :deep(td) {
    border-bottom: 1px solid var(--rule);
    padding: 0.3rem 1rem 0.3rem 0;
    text-align: left;
    vertical-align: top;
}
.method :deep(th) {
    font-weight: 600;
}
.method :deep(code) {
    color: var(--quiet);
    font-size: 0.9em;
    overflow-wrap: anywhere;
}
.method :deep(h2),
.method :deep(h3) {
    margin-top: 1.5rem;
}
</style>
