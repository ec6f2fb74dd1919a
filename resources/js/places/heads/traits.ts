import type { Schemas } from '../../api/client';
import { SCALPS } from '../../ui/words';

type Draft = Required<Schemas['HeadDraft']>;

/** What a head is asked about, one answer each. */
export const CHOICES = {
    strand: [
        'Strand',
        { fine: 'fine: hardly felt between the fingers', medium: 'medium', coarse: 'coarse: felt clearly', 'not-known': 'not known' },
    ],
    porosity: [
        'Porosity',
        { low: 'low: water beads, dries slowly', normal: 'normal', high: 'high: soaks at once', 'not-known': 'not known' },
    ],
    density: ['Density', { thin: 'thin', middling: 'middling', thick: 'thick', 'not-known': 'not known' }],
    curl: ['Curl', { straight: 'straight', wavy: 'wavy', curly: 'curly', coily: 'coily', 'not-known': 'not known' }],
    scalp: ['Scalp as a whole', SCALPS],
    age_band: [
        'Age',
        {
            'under-2': 'under 2',
            '2-6': '2 to 6',
            '6-12': '6 to 12',
            '12-18': '12 to 18',
            adult: '18 and over',
            'over-12': 'over 12',
            'not-known': 'not known',
        },
    ],
    style: [
        'Worn mostly',
        {
            loose: 'loose',
            tied: 'tied',
            braids: 'in braids',
            locs: 'in locs',
            covered: 'covered',
            short: 'short',
            'not-known': 'not known',
        },
    ],
    hardness: ['Water', { soft: 'soft', hard: 'hard', 'not-known': 'not known' }],
} as const;
/** Signs that a clinician should see first. */
export const SIGNS: Record<Draft['signs'][number], string> = {
    'sudden-loss': 'sudden loss',
    'patchy-loss': 'bare patches',
    pain: 'pain',
    sores: 'sores',
    fever: 'fever',
    'spreading-rash': 'a spreading rash',
};
/** With which the clinician is asked about some ingredients. */
export const CONDITIONS: Record<Draft['conditions'][number], string> = {
    asthma: 'asthma',
    epilepsy: 'epilepsy',
    'blood-pressure': 'heart or blood pressure',
    bleeding: 'blood thinners or bleeding',
    hormones: 'hormone-sensitive illness',
    thyroid: 'thyroid illness',
    liver: 'liver illness',
    g6pd: 'G6PD deficiency',
    medicines: 'regular medicines',
};
