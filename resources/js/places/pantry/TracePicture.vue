<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '../../api/client';
import { num } from '../../ui/words';

/** What came of what, from left to right; the same as a list stands below it. */
const props = defineProps<{ trace: Schemas['Trace'] }>();
type Node = Schemas['Trace']['nodes'][number];
const W = 156;
const H = 46;
const WHERE: Record<Node['kind'], string> = { lot: '/pantry/lots/', steep: '/steeps/', batch: '/make/', person: '' };
const WORDS: Record<Node['kind'], string> = { lot: 'lot', steep: 'steep', batch: 'batch', person: 'has some' };

const placed = computed(() => {
    const used = [...new Set(props.trace.nodes.map((n) => n.column))].sort((a, b) => a - b);
    const rows = new Map<number, number>();
    return [...props.trace.nodes]
        .sort((a, b) => a.column - b.column)
        .map((node) => {
            const row = rows.get(node.column) ?? 0;
            rows.set(node.column, row + 1);
            return { ...node, x: used.indexOf(node.column) * (W + 40), y: row * (H + 14) };
        });
});
const size = computed(() => ({
    w: Math.max(...placed.value.map((n) => n.x)) + W + 2,
    h: Math.max(...placed.value.map((n) => n.y)) + H + 2,
}));
const lines = computed(() => {
    const at = new Map(placed.value.map((n) => [n.name, n]));
    return props.trace.edges.flatMap((edge) => {
        const from = at.get(edge.from);
        const to = at.get(edge.to);
        if (!from || !to) return [];
        const [x1, y1, x2, y2] = [from.x + W, from.y + H / 2, to.x, to.y + H / 2];
        return [
            {
                d: `M${x1} ${y1} C${x1 + 22} ${y1} ${x2 - 22} ${y2} ${x2} ${y2}`,
                words: `${from.title}, ${num(edge.grams)} g, to ${to.title}`,
                key: `${edge.from} ${edge.to}`,
            },
        ];
    });
});
const short = (title: string): string => (title.length > 20 ? `${title.slice(0, 19)}…` : title);
</script>

<template>
    <div>
        <div class="overflow-x-auto">
            <svg :width="size.w" :height="size.h" :viewBox="`0 0 ${size.w} ${size.h}`" aria-hidden="true">
                <path v-for="line in lines" :key="line.key" :d="line.d" fill="none" stroke="var(--quiet)" stroke-width="1.5" />
                <g v-for="node in placed" :key="node.name" :transform="`translate(${node.x} ${node.y})`">
                    <rect
                        x="1"
                        y="1"
                        :width="W - 2"
                        :height="H - 2"
                        rx="5"
                        fill="var(--raised)"
                        :stroke="node.withdrawn ? 'var(--stop)' : node.here ? 'var(--lead)' : 'var(--rule)'"
                        :stroke-width="node.here || node.withdrawn ? 2.4 : 1.2"
                    />
                    <text x="10" y="19" font-size="13" font-weight="600" fill="var(--ink)">{{ short(node.title) }}</text>
                    <text x="10" y="36" font-size="12" fill="var(--quiet)">{{ WORDS[node.kind] }}</text>
                </g>
            </svg>
        </div>
        <ul class="mt-2 text-[13px]" aria-label="What came of what">
            <li v-for="node in placed" :key="node.name">
                <RouterLink v-if="WHERE[node.kind] && !node.here" :to="`${WHERE[node.kind]}${node.id}`">{{ node.title }}</RouterLink>
                <strong v-else>{{ node.title }}</strong>
                <span class="quiet">, {{ WORDS[node.kind] }}</span>
                <span v-if="node.withdrawn" class="said-stop">, must not be used</span>
            </li>
        </ul>
        <ul class="sr-only">
            <li v-for="line in lines" :key="line.key">{{ line.words }}</li>
        </ul>
    </div>
</template>
