import type { Schemas } from '../../../api/client';
import { HEATED } from '../ways';

/** What may be written into the journal of a jar, and what is asked for it. */
export type Doing = 'note' | 'weighed' | 'drawn' | 'moved' | 'herb' | 'oil' | 'bowl' | 'spoil' | 'withdraw';
type Draft = Required<Schemas['SteepEventDraft']>;

export interface RecordForm {
    colour: string;
    smell: string;
    note: string;
    grams: string;
    before: string;
    after: string;
    method: Draft['method'];
    days: string;
    celsius: string;
    held: string;
    ingredient: string;
    name: string;
    form: string;
    forms: string[];
    preparation: Draft['preparation'];
    amount: string;
    reason: string;
}

export const blank = (): RecordForm => ({
    colour: '',
    smell: '',
    note: '',
    grams: '',
    before: '',
    after: '',
    method: 'sunny-sill',
    days: '',
    celsius: '',
    held: '',
    ingredient: '',
    name: '',
    form: 'dried',
    forms: ['dried'],
    preparation: 'none',
    amount: '',
    reason: '',
});

/** What the form is called. */
export const TITLES: Record<Doing, string> = {
    note: 'Colour and smell',
    bowl: 'Weigh the bowl',
    weighed: 'Weigh the jar',
    drawn: 'Take some out',
    moved: 'Move it',
    herb: 'Add a herb',
    oil: 'Top up',
    spoil: 'It has spoiled',
    withdraw: 'Why must it not be used?',
};

/** What is said when it is written down. */
export const SAID: Record<Exclude<Doing, 'spoil' | 'withdraw'>, string> = {
    note: 'Noted.',
    weighed: 'Weighed.',
    drawn: 'Taken out; it stands in the pantry.',
    moved: 'Moved.',
    herb: 'Added.',
    oil: 'Topped up.',
    bowl: 'The loss counts as water driven off.',
};

export const PLACES: [Draft['method'], string][] = [
    ['cold-dark', 'cold and dark'],
    ['sunny-sill', 'the sunny sill'],
    ['leave-in', 'cold and dark, the herb left in'],
    ['water-bath', 'a water bath, now'],
    ['hot-jar', 'a closed jar in hot water, now'],
    ['direct-heat', 'gentle direct heat, now'],
];

export const isUnderWay = (steep: Schemas['Steep']): boolean => steep.state === 'running' || steep.state === 'due';

/** What may be done to a jar as it is. */
export function actsOf(steep: Schemas['Steep']): Doing[] {
    if (steep.state === 'spoiled') return [];
    return isUnderWay(steep) ? ['note', 'bowl', 'weighed', 'drawn', 'moved', 'herb', 'oil', 'spoil'] : ['note'];
}

const orNone = (typed: string): number | null => (typed === '' ? null : Number(typed));

/** The fields of a journal entry, as they are sent. */
export function fieldsOf(what: Exclude<Doing, 'spoil' | 'withdraw'>, form: RecordForm): Partial<Draft> {
    switch (what) {
        case 'note':
            return { colour: form.colour, smell: form.smell };
        case 'weighed':
        case 'drawn':
            return { grams: Number(form.grams) };
        case 'moved':
            return {
                method: form.method,
                celsius: orNone(form.celsius),
                ...(HEATED.includes(form.method) ? { held_for: form.held } : { days: orNone(form.days) }),
            };
        case 'herb':
            return { ingredient: form.ingredient, form: form.form, preparation: form.preparation, amount: form.amount };
        case 'oil':
            return { ingredient: form.ingredient, amount: form.amount };
        case 'bowl':
            return { before: Number(form.before), after: Number(form.after) };
    }
}
