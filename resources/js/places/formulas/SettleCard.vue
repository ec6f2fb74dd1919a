<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Schemas } from '../../api/client';
import { useActs } from '../../ui/acts';
import { oneOf, valueIn } from '../../ui/events';
import IngredientPick from './IngredientPick.vue';
import { FATES, type Lit } from './litText';
import type { Asks, ReadLine, Said } from './usePasted';

/** What words of a text became, and what they may be instead: one question at a time, each answer one key. */
const props = defineProps<{
    line: ReadLine | null;
    /** The words that were pressed; null where the line is asked about by itself. */
    lit: Lit | null;
    pressed: string;
    /** Why its mass cannot be told; "" when it can. */
    unweighed: string;
    /** What is asked: the first thing that is doubtful; "" when nothing is. */
    asks: Asks;
    /** How many are to be settled, and which of them this is; 0 for one that is not. */
    left: number;
    at: number;
    said: boolean;
}>();
const emit = defineEmits<{
    say: [what: Said, remember: boolean];
    unsay: [];
    forget: [];
    next: [];
    close: [];
}>();

interface Choice {
    label: string;
    what: Said;
}
const remember = ref(true);
const amount = ref('');
const amountOf = ref('');
watch(
    () => [props.line?.row, props.line?.written_name, props.line?.amount, props.pressed],
    () => {
        amount.value = props.line?.amount ?? '';
        amountOf.value = /\d/.test(props.pressed) ? props.pressed : '';
    },
    { immediate: true },
);
const choices = computed<Choice[]>(() => {
    const line = props.line;
    if (!line) return props.lit?.fate === 'unplaced' ? [{ label: 'It is no amount', what: { out: true } }] : [];
    const taken = line.ingredient ? [{ label: line.name, what: { ingredient: line.ingredient } }] : [];
    const open = line.choices.map((c) => ({
        label: c.amount ? `${c.name}, ${c.amount}` : c.name,
        what: { ingredient: c.id, ...(c.amount ? { says: c.amount } : {}) },
    }));
    const near =
        props.asks === 'ingredient' ? line.alternatives.slice(0, 8).map((a) => ({ label: a.name, what: { ingredient: a.id } })) : [];
    const weighed = props.asks === 'amount' && props.unweighed === '' && line.amount;
    const right = weighed ? [{ label: `${line.amount} is right`, what: { says: line.amount } }] : [];
    return [...(props.asks === 'ingredient' ? taken : []), ...right, ...open, ...near];
});
const none = computed(() => props.line !== null);
const forms = computed(() => (props.line?.form ? [props.line.form] : []));

function choose(choice: Choice): void {
    const doubted = props.asks === 'ingredient' && (props.line?.memorable ?? false);
    emit('say', choice.what, doubted && remember.value);
}
function pick(row: Schemas['IngredientRow']): void {
    if (props.line) return emit('say', { ingredient: row.id }, props.line.memorable && remember.value);
    emit('say', { ingredient: row.id, says: amountOf.value }, false);
}
function weigh(): void {
    if (amount.value.trim() !== '' && amount.value !== props.line?.amount) emit('say', { says: amount.value.trim() }, false);
}
function formed(event: Event): void {
    const form = oneOf({ fresh: '', dried: '', powder: '' }, valueIn(event));
    if (form && props.line?.ingredient) emit('say', { ingredient: props.line.ingredient, form }, false);
}
// Each answer is one key, as long as nothing is typed anywhere.
const WHICH = ['First', 'Second', 'Third', 'Fourth', 'Fifth', 'Sixth', 'Seventh', 'Eighth'];
useActs([
    ...WHICH.map((word, i) => ({
        label: `${word} answer to what is asked`,
        key: String(i + 1),
        run: () => {
            const choice = choices.value[i];
            if (choice) choose(choice);
        },
    })),
    { label: 'It is not an ingredient', key: '0', run: () => none.value && emit('say', { out: true }, false) },
    { label: 'Next thing to settle', key: 'n', run: () => emit('next') },
]);
</script>

<template>
    <section class="bg-raised border-rule rounded border p-3" aria-label="What these words are" aria-live="polite">
        <div class="flex flex-wrap items-baseline justify-between gap-x-3">
            <p>
                <span class="quiet text-[13px]">{{ lit ? FATES[lit.fate] : left > 0 ? `${at} of ${left} to settle` : 'Line' }}</span>
            </p>
            <button v-if="lit" type="button" class="act-quiet !min-h-0 !py-0 text-[13px]" @click="emit('close')">Close</button>
            <button v-else-if="left > 1" type="button" class="act-quiet !min-h-0 !py-0 text-[13px]" @click="emit('next')">
                Next
                <kbd class="key">n</kbd>
            </button>
        </div>
        <p class="font-head text-[17px] leading-snug font-semibold break-words">“{{ pressed }}”</p>
        <template v-if="line">
            <p v-if="asks === 'ingredient'" class="said-caution">{{ line.doubts.ingredient }}</p>
            <p v-else-if="asks === 'amount'" class="said-caution">{{ unweighed || line.doubts.amount }}</p>
            <p v-else class="quiet">
                {{ line.name }}{{ line.amount ? `, ${line.amount}` : '' }}.
                {{ line.optional ? 'It may be left out.' : '' }}
            </p>
            <p v-if="line.settled_by === 'studio'" class="quiet text-[13px]">
                You settled this name before.
                <button type="button" class="act-quiet !min-h-0 !py-0" @click="emit('forget')">Forget it</button>
            </p>
        </template>
        <p v-else-if="lit" class="quiet">{{ lit.why }}</p>
        <p v-if="said" class="quiet text-[13px]">
            As you said.
            <button type="button" class="act-quiet !min-h-0 !py-0" @click="emit('unsay')">Take it back</button>
        </p>
        <div v-if="choices.length > 0 || none" class="mt-1.5 -ml-2.5 flex flex-wrap">
            <button v-for="(choice, i) in choices" :key="i" type="button" class="act-quiet" @click="choose(choice)">
                <kbd class="key">{{ i + 1 }}</kbd>
                {{ choice.label }}
            </button>
            <button v-if="none" type="button" class="act-quiet" @click="emit('say', { out: true }, false)">
                <kbd class="key">0</kbd>
                {{ line?.optional ? 'Leave it out' : 'Not an ingredient' }}
            </button>
        </div>
        <div class="mt-1.5 flex flex-wrap items-end gap-3">
            <div class="w-60 max-w-full">
                <span class="label">{{ line ? 'It is another' : 'It is an ingredient' }}</span>
                <IngredientPick name="" :label="`Ingredient for ${pressed}`" placed @choose="pick" />
            </div>
            <form v-if="line" class="w-36" @submit.prevent="weigh">
                <label class="label" for="settled-amount">How much</label>
                <input id="settled-amount" v-model="amount" class="field" maxlength="120" @change="weigh" />
            </form>
            <label v-else class="w-36">
                <span class="label">How much of it</span>
                <input v-model="amountOf" class="field" maxlength="120" />
            </label>
            <label v-if="forms.length > 0">
                <span class="label">Form</span>
                <select class="field" :value="forms[0]" @change="formed">
                    <option v-for="form in ['fresh', 'dried', 'powder', ...forms.filter((f) => f === 'melted')]" :key="form">
                        {{ form }}
                    </option>
                </select>
            </label>
        </div>
        <p v-if="line && line.understood === 'no'" class="mt-1.5 text-[13px]">
            Bought, or mixed before? Write down
            <RouterLink :to="{ path: '/pantry/own/new', query: { name: line.written_name, of: 'several' } }">its parts</RouterLink>
            or
            <RouterLink :to="{ path: '/pantry/own/new', query: { name: line.written_name } }">what it is like</RouterLink>
            .
        </p>
        <label v-if="line && asks === 'ingredient' && line.memorable" class="mt-2 flex items-center gap-2 text-[13px]">
            <input v-model="remember" type="checkbox" />
            Remember “{{ line.written_name }}” for the next recipe
        </label>
    </section>
</template>
