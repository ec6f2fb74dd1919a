import { useQueryClient } from '@tanstack/vue-query';
import { computed, onMounted, onUnmounted, ref, shallowRef, toRaw, type Ref } from 'vue';
import { dropAct, keepAct, keepBatch, keepSession, keptActs, whoseIs, type KeptAct } from '../../../api/kept';
import { newKey } from '../../../api/newKey';
import { Problem, type Schemas } from '../../../api/client';
import { batchQuery, isBatch } from '../../../queries/batches';
import { sendAct, type Act } from '../../../queries/counter';
import { tellProblem } from '../../../ui/notice';
import { useSession } from '../../../ui/session';
import { shownAs } from './shownAs';

const AGAIN_AFTER = 2000;
/** Others may be quicker so many times running. */
const TRIES = 8;
/** Answers that are no word on what was entered: signed out, not this person's, gone, too often. */
const NOT_ITS_FAULT = [401, 403, 404, 419, 429];

/**
 * What is done at one batch's counter: kept in the browser first, sent one after the other, and sent again until the server
 * has acknowledged it. Meanwhile the batch is shown as it will be.
 */
export function useActs(batch: Ref<Schemas['Batch']>) {
    const client = useQueryClient();
    const id = batch.value.id;
    const key = batchQuery(id).queryKey;
    const waiting = shallowRef<KeptAct[]>([]);
    const away = ref(false);
    const errors = ref<Record<string, string[]>>({});
    const settled = new Map<string, (well: boolean) => void>();
    const session = useSession();
    const me = whoseIs(session.session);
    let sending = false;
    let closed = false;

    const newest = (): Schemas['Batch'] => client.getQueryData(key) ?? batch.value;

    /** Done, or kept until there is a network: true. Refused: false, and `errors` say why. */
    async function act(what: Act): Promise<boolean> {
        const kept = { key: newKey(), batch: id, by: me, at: Date.now(), act: structuredClone(toRaw(what)) };
        waiting.value = [...waiting.value, kept];
        errors.value = {};
        const well = new Promise<boolean>((resolve) => settled.set(kept.key, resolve));
        await keepAct(kept);
        // Without a network nobody waits: it is kept.
        if (away.value) settled.get(kept.key)?.(true);
        void drain();
        return well;
    }

    async function drop(kept: KeptAct, well: boolean): Promise<void> {
        waiting.value = waiting.value.filter((k) => k.key !== kept.key);
        await dropAct(kept.key);
        settled.get(kept.key)?.(well);
        settled.delete(kept.key);
    }

    async function drain(): Promise<void> {
        if (sending) return;
        sending = true;
        try {
            for (let next = waiting.value[0]; next && !closed; next = waiting.value[0]) {
                const sent = await send(next);
                if (sent === 'away') {
                    await new Promise((again) => window.setTimeout(again, AGAIN_AFTER));
                } else {
                    away.value = false;
                    await drop(next, sent === 'done');
                }
            }
        } finally {
            sending = false;
        }
    }

    async function send(kept: KeptAct): Promise<'done' | 'away' | 'refused'> {
        for (let n = 0; n < TRIES; n++) {
            try {
                const answer = await sendAct(id, kept.act, newest().revision, { headers: { 'Idempotency-Key': kept.key } });
                client.setQueryData(key, answer);
                void keepBatch(answer);
                return 'done';
            } catch (e) {
                if (!(e instanceof Problem)) throw e;
                if (e.passes) {
                    away.value = true;
                    // Whoever waits for it goes on: it is kept.
                    settled.get(kept.key)?.(true);
                    return 'away';
                }
                if (NOT_ITS_FAULT.includes(e.status) || e.status >= 500) return keptFor(kept, e);
                if (e.status !== 409 || !isBatch(e.current)) return refused(e);
                client.setQueryData(key, e.current);
                if (stands(kept.act, e.current)) return 'done';
                if (overtaken(kept.act, e.current)) {
                    return refused(
                        new Error('Someone weighed this line at the same time. What they entered is shown now; enter yours again.'),
                    );
                }
            }
        }
        return refused(new Error('Others are writing to this batch at this moment. Enter it once more.'));
    }

    /** Signed out, not hers, too often, broken: not the weight is wrong. It stays here and is sent when it can be. */
    function keptFor(kept: KeptAct, e: Problem): 'away' {
        if (!away.value) tellProblem(new Error(`${e.message} What you entered is kept on this device and sent when that is mended.`));
        away.value = true;
        settled.get(kept.key)?.(true);
        return 'away';
    }

    function refused(e: Error): 'refused' {
        if (e instanceof Problem && e.hasFields) errors.value = e.errors;
        else tellProblem(e);
        return 'refused';
    }

    onMounted(async () => {
        const before = await keptActs(id, me);
        const known = new Set(waiting.value.map((k) => k.key));
        waiting.value = [...before.filter((k) => !known.has(k.key)), ...waiting.value];
        void drain();
    });
    onUnmounted(() => (closed = true));
    // Opened again without a network, it goes on from what was last known.
    onMounted(
        () =>
            void (
                session.session &&
                keepSession(structuredClone(toRaw(session.session))).then(() => keepBatch(structuredClone(toRaw(batch.value))))
            ),
    );

    const shown = computed(() =>
        shownAs(
            batch.value,
            waiting.value.map((k) => k.act),
        ),
    );
    const busy = computed(() => waiting.value.length > 0 && !away.value);
    return { act, shown, busy, away, errors, waiting };
}

/** Whether it is there already: another tab of this device has sent what it kept. */
function stands(act: Act, now: Schemas['Batch']): boolean {
    if (act.kind !== 'weigh' || act.body.grams === null) return false;
    return now.weighings.find((w) => w.line === act.body.line)?.actual_grams === act.body.grams;
}

/** Whether somebody else entered something for the same line since it was looked at. */
function overtaken(act: Act, now: Schemas['Batch']): boolean {
    if (act.kind !== 'weigh' || (act.body.grams === null && !act.body.how)) return false;
    return now.weighings.find((w) => w.line === act.body.line)?.actual_grams !== act.saw;
}
