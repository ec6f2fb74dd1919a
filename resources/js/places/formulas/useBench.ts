import { onBeforeUnmount, ref, shallowRef } from 'vue';
import { Problem, type Schemas } from '../../api/client';
import { inTurn } from '../../api/inTurn';
import { useLatest } from '../../api/latest';
import {
    cure as cured,
    evaluate,
    isFormulaPage,
    reshare as reshared,
    saveFormula,
    settleName,
    useKeepVersion,
} from '../../queries/formulas';
import { tell, tellProblem } from '../../ui/notice';
import { useHistory } from './bench/useHistory';

type Formula = Schemas['Formula'];
type Page = Schemas['FormulaPage'];

const SAVE_AFTER = 500;
const RETRY_AFTER = 3000;

/** A copy of its own, also of what Vue has wrapped. */
function copyOf(formula: Formula): Formula {
    const copy: Formula = JSON.parse(JSON.stringify(formula));
    return copy;
}

/**
 * A formula on the bench: what is typed stays as it is typed, is judged on every change, and is saved behind it.
 *
 * An answer to an earlier edit that arrives late is dropped; a save that fails is sent again; a save that someone else
 * has overtaken is asked about, never forced.
 */
export function useBench(page: Page) {
    const formula = ref<Formula>(copyOf(page.formula));
    const headId = ref<number | null>(page.head_id);
    const hair = ref<Schemas['Hair'] | null>(page.hair);
    const assessment = shallowRef(page.assessment);
    const fit = shallowRef(page.fit);
    const keeps = shallowRef(page.keeps);
    const versions = shallowRef(page.versions);
    const status = ref<'saved' | 'waiting' | 'saving' | 'away' | 'overtaken' | 'refused'>('saved');
    const refusal = ref('');
    const theirs = shallowRef<Page | null>(null);

    const keeping = useKeepVersion();
    let revision = page.revision;
    let saveTimer = 0;
    let saving: Promise<void> | null = null;
    let unsaved = false;

    const { canUndo, canRedo, step, undo, redo } = useHistory(
        () => JSON.stringify({ formula: formula.value, headId: headId.value, hair: hair.value }),
        (state) => {
            const back: { formula: Formula; headId: number | null; hair: Schemas['Hair'] | null } = JSON.parse(state);
            formula.value = back.formula;
            headId.value = back.headId;
            hair.value = back.hair;
            changed();
        },
    );

    /** What is judged: the formula, whom it is for, and the last kept version, beside which something can be seen to be missing. */
    function draft() {
        return { formula: formula.value, head_id: headId.value, hair: hair.value, before: versions.value[0]?.formula ?? null };
    }

    function show(answer: Schemas['Evaluation']): void {
        assessment.value = answer.assessment;
        fit.value = answer.fit;
        keeps.value = answer.keeps;
    }

    const judging = useLatest(
        (signal) => evaluate(draft(), signal),
        (answer) => {
            show(answer);
            if (status.value === 'refused') status.value = 'waiting';
            refusal.value = '';
        },
        (e) => {
            if (e instanceof Problem && e.status === 422) refusal.value = e.message;
        },
    );

    async function save(): Promise<void> {
        window.clearTimeout(saveTimer);
        if (saving) {
            // One save at a time: each carries the revision that the one before it brought.
            await saving;
            if (!unsaved) return;
        }
        if (status.value === 'overtaken') return;
        unsaved = false;
        status.value = 'saving';
        saving = (async () => {
            try {
                const answer = await saveFormula(page.id, {
                    revision,
                    formula: formula.value,
                    head_id: headId.value,
                    hair: hair.value,
                });
                revision = answer.revision;
                versions.value = answer.versions;
                status.value = unsaved ? 'waiting' : 'saved';
            } catch (e) {
                unsaved = true;
                if (e instanceof Problem && e.status === 409 && isFormulaPage(e.current)) {
                    theirs.value = e.current;
                    status.value = 'overtaken';
                } else if (e instanceof Problem && e.status === 422) {
                    status.value = 'refused';
                    refusal.value = e.message;
                } else {
                    status.value = 'away';
                    saveTimer = window.setTimeout(() => void save(), RETRY_AFTER);
                }
            } finally {
                saving = null;
            }
        })();
        await saving;
    }

    function changed(): void {
        unsaved = true;
        if (status.value !== 'overtaken') status.value = 'waiting';
        window.clearTimeout(saveTimer);
        judging.soon();
        saveTimer = window.setTimeout(() => void save(), SAVE_AFTER);
    }

    /** Changes the formula in place; `what` names the thing, so that typing in one field is one step of undo. */
    function edit(what: string, change: (draft: Formula) => void): void {
        step(what);
        change(formula.value);
        changed();
    }

    function setText(field: 'title' | 'kind' | 'audience' | 'notes', value: string): void {
        edit(field, (draft) => Object.assign(draft, { [field]: value }));
    }

    function replace(next: Formula, what: string): void {
        edit(what, () => (formula.value = copyOf(next)));
    }

    function chooseFor(id: number | null, type: Schemas['Hair'] | null): void {
        edit('head', () => {
            headId.value = id;
            hair.value = type;
        });
    }

    /** What a cure would do, without doing it. */
    async function preview(change: Schemas['Change']): Promise<Schemas['ChangedDraft'] | null> {
        try {
            return await cured({ ...draft(), change });
        } catch (e) {
            tellProblem(e);
            return null;
        }
    }

    /** What she says a name is, that nobody placed, is kept for the studio: it is not asked again. */
    async function settled(change: Schemas['Change']): Promise<void> {
        if (change.op !== 'set-ingredient') return;
        for (const [id, ingredient] of Object.entries(change.lines ?? {})) {
            const line = formula.value.lines.find((l) => l.id === id);
            const written = line?.doubt?.written ?? (line?.ingredient === '' ? line.name : '');
            if (written !== '') await settleName({ written, ingredient, form: line?.form ?? '' }).catch(tellProblem);
        }
    }

    async function cure(label: string, change: Schemas['Change']): Promise<void> {
        const answer = await preview(change);
        if (!answer) return;
        void settled(change);
        replace(answer.formula, `cure ${label}`);
        show(answer);
        tell(`${label}: done.`, { undo });
    }

    /** Share moved from one line to another, as by the edge between two bands. False when it could not be. */
    async function reshare(from: string, to: string, points: number): Promise<boolean> {
        try {
            const answer = await inTurn('reshare', () => reshared({ ...draft(), from, to, points }));
            replace(answer.formula, `reshare ${from} ${to}`);
            show(answer);
            return true;
        } catch (e) {
            tellProblem(e);
            return false;
        }
    }

    async function keep(note: string): Promise<void> {
        await flush();
        try {
            const answer = await keeping.mutateAsync({ id: page.id, note });
            versions.value = answer.versions;
            tell(`Kept as version ${answer.versions[0]?.number ?? ''}.`);
        } catch (e) {
            tellProblem(e);
        }
    }

    /** Saves what is not saved yet, and waits for it. */
    async function flush(): Promise<boolean> {
        if (unsaved || saving) await save();
        return status.value === 'saved';
    }

    function takeTheirs(): void {
        const newer = theirs.value;
        if (!newer) return;
        revision = newer.revision;
        theirs.value = null;
        status.value = 'waiting';
        replace(newer.formula, 'theirs');
    }

    function keepMine(): void {
        if (!theirs.value) return;
        revision = theirs.value.revision;
        theirs.value = null;
        status.value = 'waiting';
        unsaved = true;
        void save();
    }

    function leaving(event: BeforeUnloadEvent): void {
        if (unsaved) event.preventDefault();
    }
    window.addEventListener('beforeunload', leaving);
    onBeforeUnmount(() => {
        window.removeEventListener('beforeunload', leaving);
        window.clearTimeout(saveTimer);
        if (unsaved && status.value !== 'overtaken') void save();
    });

    return {
        formula,
        headId,
        hair,
        fit,
        keeps,
        assessment,
        versions,
        status,
        refusal,
        theirs,
        canUndo,
        canRedo,
        edit,
        setText,
        judge: judging.now,
        undo,
        redo,
        replace,
        chooseFor,
        preview,
        cure,
        reshare,
        keep,
        flush,
        takeTheirs,
        keepMine,
    };
}

export type Bench = ReturnType<typeof useBench>;
