import type { Schemas } from '../../resources/js/api/client';

/** Things as the API sends them, small and true to the schema; a test changes what it is about. */

export function band(best: number, low = best, high = best): Schemas['Band'] {
    return { low, best, high };
}

export function aLine(id: string, name: string, amount = '10 g', more: Partial<Schemas['FormulaLine']> = {}): Schemas['FormulaLine'] {
    return { id, ingredient: name.toLowerCase().replaceAll(' ', '-'), name, amount, form: '', phase: 'warm', locked: false, ...more };
}

export function aFormula(more: Partial<Schemas['Formula']> = {}): Schemas['Formula'] {
    return {
        format: 'honest-crown/formula',
        title: 'Evening oil',
        kind: 'hair-oil',
        audience: 'adult-leave-on',
        wet_use: false,
        for_sale: false,
        storage_c: 20,
        size: { mode: 'as-written' },
        lines: [aLine('l1', 'Shea butter', '30 g', { phase: 'melt' }), aLine('l2', 'Jojoba', '60 g'), aLine('l3', 'Beeswax', '10 g')],
        steps: [],
        notes: '',
        ...more,
    };
}

export function aJudgedLine(
    id: string,
    name: string,
    percent: number,
    more: Partial<Schemas['AssessedLine']> = {},
): Schemas['AssessedLine'] {
    return {
        id,
        ingredient: name.toLowerCase().replaceAll(' ', '-'),
        name,
        kind: 'carrier-oil',
        matter: 'liquid',
        amount: `${percent} g`,
        form: '',
        forms: [''],
        phase: 'warm',
        turn: more.phase === 'melt' ? 1 : 3,
        grams: band(percent, percent * 0.98, percent * 1.02),
        share: band(percent, percent * 0.97, percent * 1.03),
        shown_percent: percent,
        basis: 'measured',
        problem: '',
        understood: 'yes',
        ...more,
    };
}

export function aFinding(code: string, more: Partial<Schemas['Finding']> = {}): Schemas['Finding'] {
    return {
        code,
        severity: 'caution',
        subject: [],
        lines: [],
        message: `Something about ${code}.`,
        figures: {},
        method: 'load',
        cures: [],
        acceptable: true,
        accepted: '',
        accepted_by: null,
        key: { code },
        ...more,
    };
}

const still: Schemas['Shift'] = { factor: 1, count: 0 };

export function anAssessment(more: Partial<Schemas['Assessment']> = {}): Schemas['Assessment'] {
    return {
        title: 'Evening oil',
        total_grams: band(100, 98, 102),
        lines: [
            aJudgedLine('l1', 'Shea butter', 30, { phase: 'melt', matter: 'soft-fat' }),
            aJudgedLine('l2', 'Jojoba', 60),
            aJudgedLine('l3', 'Beeswax', 10, { phase: 'melt', matter: 'wax' }),
        ],
        solids: { 10: 40, 20: 30, 25: 22, 30: 15, 35: 10, 40: 6 },
        solids_band: {
            10: band(40, 36, 44),
            20: band(30, 27, 33),
            25: band(22, 19, 25),
            30: band(15, 12, 18),
            35: band(10, 8, 12),
            40: band(6, 5, 7),
        },
        audience: 'adult-leave-on',
        open: false,
        settled: true,
        texture: 'butter',
        texture_label: 'butter',
        texture_known: true,
        pours_from_c: 38,
        essential_oil_percent: band(0),
        essential_oil_ceiling: 2,
        water_percent: band(0),
        water_class: 'A',
        water_label: 'no water',
        life_months: band(12, 9, 15),
        life_reasons: ['Jojoba keeps 24 months.'],
        weight_index: 5.5,
        density_20c: 0.91,
        findings: [],
        melts_at_c: 55,
        moments: [],
        whipping: null,
        longer: [],
        density_60c: 0.88,
        cost: { known: band(0), per_100g: 0, unpriced: [] },
        learned: { family: 'hair oil', texture: still, overrun: still, life: still },
        ...more,
    };
}

export function aPage(more: Partial<Schemas['FormulaPage']> = {}): Schemas['FormulaPage'] {
    return {
        id: 7,
        revision: 3,
        touched: { by: 'Noor', at: '2026-11-20T10:00:00Z' },
        formula: aFormula(),
        head_id: null,
        assessment: anAssessment(),
        versions: [],
        fit: null,
        hair: null,
        keeps: null,
        sizing: { overfill: 0.03, loss: 0.05, batches: 4 },
        ...more,
    };
}

export function anEvaluation(more: Partial<Schemas['Evaluation']> = {}): Schemas['Evaluation'] {
    return { assessment: anAssessment(), fit: null, keeps: null, ...more };
}

export function aChangedDraft(formula: Schemas['Formula'], more: Partial<Schemas['Evaluation']> = {}): Schemas['ChangedDraft'] {
    return { formula, ...anEvaluation(more) };
}

export function aVersion(number: number, more: Partial<Schemas['VersionRow']> = {}): Schemas['VersionRow'] {
    return {
        id: 100 + number,
        number,
        note: '',
        kept_at: `2026-11-0${number}T10:00:00Z`,
        formula: aFormula(),
        changes: [],
        bands: [{ matter: 'liquid', percent: 100 }],
        texture: 'butter',
        ...more,
    };
}

export function aRow(id: string, name: string, more: Partial<Schemas['IngredientRow']> = {}): Schemas['IngredientRow'] {
    return {
        id,
        name,
        inci: `${name} INCI`,
        kind: 'carrier-oil',
        matter: 'liquid',
        forms: ['liquid'],
        usual_form: 'liquid',
        usual_phase: 'warm',
        usual_preparation: 'none',
        weight: 5,
        life_months: 12,
        action: 'sealing',
        feel: '',
        allergens: [],
        vegan: true,
        pregnancy: 'ok',
        pregnancy_reason: '',
        origin: 'reference',
        corrected: false,
        at_hand: false,
        serves: [],
        ...more,
    };
}

export function aTask(kind: Schemas['Task']['kind'], act: string, more: Partial<Schemas['Task']> = {}): Schemas['Task'] {
    return {
        id: kind,
        kind,
        act,
        gate: { sign: 'until it is clear', celsius: null, minutes: null, reason: '' },
        caution: '',
        lines: [],
        hers: '',
        doubt: '',
        waits: false,
        done: false,
        skipped: '',
        by: '',
        at: null,
        where: 'air',
        cooling: null,
        reading_id: null,
        volumes: [],
        ...more,
    };
}

export function aBatch(more: Partial<Schemas['Batch']> = {}): Schemas['Batch'] {
    return {
        id: 5,
        revision: 1,
        lot_code: 'HC-261125-1',
        title: 'Evening oil',
        kind: 'hair-oil',
        formula_id: 7,
        state: 'open',
        made_on: '2026-11-20',
        by: 'Ada',
        jars: 0,
        jar_ml: 0,
        net_grams: 0,
        note: '',
        although: '',
        formula: aFormula(),
        weighings: [aWeighing('l1', 'Shea butter', 30), aWeighing('l2', 'Jojoba', 60)],
        tasks: [aTask('melt', 'Melt the shea butter.'), aTask('fill', 'Fill the jars.')],
        planned: anAssessment(),
        actual: null,
        label: null,
        air_percent: null,
        withdrawn: [],
        findings: [],
        timers: [],
        now: '2026-11-27T10:00:00.000Z',
        factor: 1,
        stops_now: [],
        yield: null,
        inspected: [],
        sample_kept: false,
        written_on: '2026-11-20',
        deviations: [],
        bad_signs: ['bad-smell', 'mould'],
        checks: [],
        shares_with: [],
        beside: [],
        shelf_lot: null,
        rehearsal: false,
        ...more,
    };
}

export function aWeighing(line: string, name: string, target: number, more: Partial<Schemas['Weighing']> = {}): Schemas['Weighing'] {
    return {
        line,
        ingredient: name.toLowerCase().replaceAll(' ', '-'),
        name,
        phase: 'warm',
        phase_label: 'Warm oils',
        target_grams: target,
        tolerance_grams: target * 0.01,
        target_drops: null,
        drop_grams: null,
        too_little: false,
        gathered: false,
        actual_grams: null,
        actual_drops: null,
        how: more.actual_grams === undefined ? null : 'weighed',
        within: null,
        more_grams: null,
        bottles: [],
        other_bottles: [],
        lot: null,
        near: { low: target * 0.99, high: target * 1.01 },
        most_grams: target * 5,
        ...more,
    };
}

export function aLot(id: number, name: string, more: Partial<Schemas['Lot']> = {}): Schemas['Lot'] {
    return {
        id,
        ingredient: `lot-${id}`,
        name,
        grams: 300,
        dry: true,
        water_percent: 0,
        made_on: '2026-11-01',
        best_before: '2027-09-01',
        store: '',
        steep_id: 1,
        code: 'ST-1',
        drawn: false,
        withdrawn: '',
        withdrawn_on: null,
        ...more,
    };
}

/** A jar of calendula in olive oil on its tenth day of 28. */
export function aSteep(more: Partial<Schemas['Steep']> = {}): Schemas['Steep'] {
    return {
        id: 1,
        revision: 5,
        touched: { by: '', at: '2026-11-20T10:00:00Z' },
        although: '',
        name: 'Calendula in olive oil',
        plant: 'Calendula',
        oil: 'Olive oil',
        herbs: [
            { ingredient: 'calendula', name: 'Calendula', form: 'dried', preparation: 'none', grams: 40, draw: 1, since: '2026-11-15' },
        ],
        oils: [{ ingredient: 'olive-oil', name: 'Olive oil', grams: 365, since: '2026-11-15' }],
        method: 'cold-dark',
        method_label: 'Cold and dark',
        jar_ml: 500,
        diameter_cm: 8,
        shaken_daily: true,
        shaken_sometimes: false,
        state: 'due',
        reason: '',
        plan: {
            oil_grams: band(365),
            ratio: 9.1,
            oil_above_plant_cm: band(3),
            headspace_cm: band(2),
            extraction_percent: band(70),
            yield_grams: band(300, 280, 320),
            water_in_grams: band(4),
            age_spent_days: band(28),
            dates: {
                start: '2026-11-15',
                stop_shaking: '2026-11-24',
                strain: '2026-11-25',
                ready: '2026-11-27',
                best_before: '2027-09-01',
            },
            straining: 'cloth',
            findings: [],
            signs: [],
        },
        day: 10,
        days: 10,
        drawn_now_percent: band(70),
        oil_left_grams: 365,
        next: { kind: 'strain', on: '2026-11-25', overdue: false, words: 'Strain it.' },
        shakes: [],
        lot: null,
        lots: [],
        usual_ratio: band(9),
        learned: null,
        charge: '40 g dried calendula flower in 400 g olive oil',
        water_left_grams: band(4, 2, 6),
        dry: false,
        signs: [],
        strain_steps: [
            { id: 'settle', does: 'Let it stand for two days.', why: 'So that the dust sinks.', fewest_hours: 36, most_hours: 48 },
            { id: 'weigh', does: 'Weigh the oil.', why: 'It is measured then.', fewest_hours: 0, most_hours: 0 },
            { id: 'water', does: 'Look for water.', why: 'Water spoils.', fewest_hours: 0, most_hours: 0 },
            { id: 'herb', does: 'See to the herb.', why: 'It can be drawn again.', fewest_hours: 0, most_hours: 0 },
        ],
        events: [],
        photos: [],
        measured: null,
        cost: null,
        cost_per_100g: null,
        put_away: false,
        draw_again: false,
        used_in: [],
        draft: {
            name: '',
            herbs: [],
            oils: [],
            water_grams: 0,
            method: 'cold-dark',
            celsius: 20,
            minutes: 0,
            days: 28,
            jar_ml: 500,
            diameter_cm: 8,
            mouth_cm: 0,
            shaken_daily: true,
            pressed: false,
            started_on: '2026-11-15',
        },
        ...more,
    };
}

export function anEvent(id: number, kind: Schemas['SteepEvent']['kind'], words = kind as string): Schemas['SteepEvent'] {
    return { id, kind, on: '2026-11-25', words, note: '' };
}
