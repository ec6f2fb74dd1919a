import { mount, type VueWrapper } from '@vue/test-utils';
import { computed, ref } from 'vue';
import { describe, expect, it, vi } from 'vitest';
import FatCurves from '../../resources/js/jar/FatCurves.vue';
import JarView, { type JarBand } from '../../resources/js/jar/JarView.vue';
import TextureRibbon from '../../resources/js/jar/TextureRibbon.vue';
import { useEdge, type Moved } from '../../resources/js/jar/useEdge';
import { anAssessment, band } from './made';

const BANDS: JarBand[] = [
    { id: 'l1', name: 'Shea butter', percent: 30, matter: 'soft-fat' },
    { id: 'l2', name: 'Jojoba', percent: 60, matter: 'liquid' },
    { id: 'l3', name: 'Beeswax', percent: 10, matter: 'wax' },
];
const number = (wrapper: VueWrapper, selector: string, attribute: string): number => Number(wrapper.get(selector).attributes(attribute));

describe('a jar cut open', () => {
    const jar = (more: Record<string, unknown> = {}) => mount(JarView, { props: { bands: BANDS, label: 'A jar', ...more } });

    it('has bands whose heights are exactly their shares, from the foot up without a gap', () => {
        const wrapper = jar();
        const heights = BANDS.map((b) => number(wrapper, `[data-band=${b.id}]`, 'height'));
        const inner = heights.reduce((sum, h) => sum + h, 0);
        heights.forEach((h, i) => expect((h / inner) * 100).toBeCloseTo(BANDS[i]?.percent ?? 0, 6));
        const [y1, y2, y3] = BANDS.map((b) => number(wrapper, `[data-band=${b.id}]`, 'y'));
        expect(y2).toBeCloseTo((y1 ?? 0) - (heights[1] ?? 0), 6);
        expect(y3).toBeCloseTo((y2 ?? 0) - (heights[2] ?? 0), 6);
    });

    it('a jar that is half full is drawn half as high, and never over its brim', () => {
        const full = number(jar(), '[data-band=l2]', 'height');
        expect(number(jar({ fill: 0.5 }), '[data-band=l2]', 'height')).toBeCloseTo(full / 2, 6);
        expect(number(jar({ fill: 1.4 }), '[data-band=l2]', 'height')).toBeCloseTo(full, 6);
    });

    it('leaves out what has no share, and names a band only where the name fits', () => {
        const wrapper = jar({
            bands: [
                ...BANDS.slice(0, 2),
                { id: 'l4', name: 'Vitamin E', percent: 0.5, matter: 'active' },
                { id: 'l5', name: 'Nothing', percent: 0, matter: 'unknown' },
            ],
        });
        expect(wrapper.find('[data-band=l5]').exists()).toBe(false);
        expect(wrapper.find('[data-band=l4]').exists()).toBe(true);
        expect(wrapper.text()).toContain('Jojoba 60.0');
        expect(wrapper.text()).not.toContain('Vitamin E');
    });

    it('tells what the hand is over, and lights what it is told to', async () => {
        const wrapper = jar({ lit: 'l2' });
        await wrapper.get('[data-band=l3]').element.parentElement?.dispatchEvent(new Event('mouseenter'));
        expect(wrapper.emitted('light')).toEqual([['l3']]);
        expect(wrapper.findAll('rect[fill="var(--lead)"]')).toHaveLength(1);
    });

    it('draws what it would be in its right half, and then offers no edge to move', () => {
        const wrapper = jar({ movable: ['l1', 'l2'], then: [{ id: 'l2', name: 'Jojoba', percent: 100, matter: 'liquid' }] });
        expect(wrapper.text()).toContain('now');
        expect(wrapper.text()).toContain('then');
        expect(wrapper.findAll('[role=slider]')).toHaveLength(0);
    });

    it('is a picture with words, or a group when its edges can be moved', () => {
        expect(jar().get('svg').attributes()).toMatchObject({ role: 'img', 'aria-label': 'A jar' });
        expect(
            jar({ movable: ['l1', 'l2'] })
                .get('svg')
                .attributes('role'),
        ).toBe('group');
    });

    it('says what each edge parts, and moves share by the arrow keys', async () => {
        const wrapper = jar({ movable: ['l1', 'l2', 'l3'] });
        const [lower, upper] = wrapper.findAll('[role=slider]');
        expect(lower?.attributes('aria-valuetext')).toBe('Shea butter 30.0 %, Jojoba 60.0 %');
        expect(upper?.attributes('aria-label')).toBe('Edge between Jojoba and Beeswax');
        await lower?.trigger('keydown', { key: 'ArrowUp' });
        await upper?.trigger('keydown', { key: 'PageDown' });
        await upper?.trigger('keydown', { key: 'PageUp' });
        await upper?.trigger('keydown', { key: 'a' });
        expect(wrapper.emitted('move')).toEqual([
            [{ from: 'l2', to: 'l1', points: 0.5 }],
            [{ from: 'l3', to: 'l2', points: -5 }],
            [{ from: 'l3', to: 'l2', points: 5 }],
        ]);
    });
});

describe('an edge between two bands', () => {
    function edge(bands = BANDS, movable = ['l1', 'l2', 'l3']) {
        const told: Moved[] = [];
        const use = useEdge(
            ref(bands),
            ref(movable),
            computed(() => 200),
            (moved) => told.push(moved),
        );
        const at = (clientY: number): PointerEvent =>
            ({ clientY, pointerId: 1, currentTarget: { setPointerCapture: vi.fn() }, preventDefault: vi.fn() }) as unknown as PointerEvent;
        const first = use.edges.value[0];
        if (!first) throw new Error('no edge');
        const drag = (y: number, scale = 1): void => use.drag(at(y), first.lower, first.upper, scale);
        return { use, told, at, drag, first };
    }

    it('is offered only between two bands that may both move', () => {
        const use = (movable: string[]) =>
            useEdge(
                ref(BANDS),
                ref(movable),
                computed(() => 200),
                () => undefined,
            ).edges.value.length;
        expect(use(['l1', 'l2', 'l3'])).toBe(2);
        expect(use(['l1', 'l3'])).toBe(0);
        expect(use(['l2', 'l3'])).toBe(1);
        expect(use([])).toBe(0);
    });

    it('shows what it would be while it is dragged, and tells it once on letting go', () => {
        const { use, told, at, drag, first } = edge();
        use.grab(at(300), first.lower, first.upper);
        drag(290);
        expect(use.shown.value.map((b) => b.percent)).toEqual([35, 55, 10]);
        drag(280);
        expect(told).toEqual([]);
        use.drop(first.lower, first.upper);
        expect(told).toEqual([{ from: 'l2', to: 'l1', points: 10 }]);
        expect(use.shown.value.map((b) => b.percent)).toEqual([40, 50, 10]);
        use.settle();
        expect(use.shown.value.map((b) => b.percent)).toEqual([30, 60, 10]);
    });

    it('takes into account that the jar is shown smaller than it is drawn', () => {
        const { use, at, drag, first } = edge();
        use.grab(at(300), first.lower, first.upper);
        drag(290, 0.5);
        expect(use.shown.value[0]?.percent).toBe(40);
    });

    it('never takes more than there is', () => {
        const { use, at, drag, first } = edge();
        use.grab(at(300), first.lower, first.upper);
        drag(-5000);
        expect(use.shown.value.map((b) => b.percent)).toEqual([90, 0, 10]);
        drag(5000);
        expect(use.shown.value.map((b) => b.percent)).toEqual([0, 90, 10]);
    });

    it('that was only touched tells nothing', () => {
        const { use, told, at, first } = edge();
        use.drop(first.lower, first.upper);
        use.grab(at(300), first.lower, first.upper);
        use.drop(first.lower, first.upper);
        expect(told).toEqual([]);
    });

    it('does not move for a hand that holds another edge', () => {
        const { use, at, drag } = edge();
        const other = use.edges.value[1];
        if (!other) throw new Error('no second edge');
        use.grab(at(300), other.lower, other.upper);
        drag(200);
        expect(use.shown.value.map((b) => b.percent)).toEqual([30, 60, 10]);
    });
});

describe('how it stands from 10 to 40 °C', () => {
    const dots = (wrapper: VueWrapper): number[] => wrapper.findAll('circle').map((c) => Number(c.attributes('cy')));

    it('draws a point for each temperature, the more solid the higher', () => {
        const ys = dots(mount(TextureRibbon, { props: { assessment: anAssessment() } }));
        expect(ys).toHaveLength(6);
        expect([...ys].sort((a, b) => a - b)).toEqual(ys);
    });

    it('draws its band around the curve', () => {
        const wrapper = mount(TextureRibbon, { props: { assessment: anAssessment() } });
        expect(wrapper.get('polygon').attributes('points')?.split(' ')).toHaveLength(12);
    });

    it('stays within its frame for what is all wax and what is all oil', () => {
        const flat = (v: number) => ({ 10: v, 20: v, 25: v, 30: v, 35: v, 40: v });
        const bands = (v: number) => ({ 10: band(v), 20: band(v), 25: band(v), 30: band(v), 35: band(v), 40: band(v) });
        for (const v of [0, 100])
            for (const y of dots(
                mount(TextureRibbon, { props: { assessment: anAssessment({ solids: flat(v), solids_band: bands(v) }) } }),
            )) {
                expect(y).toBeGreaterThanOrEqual(6);
                expect(y).toBeLessThanOrEqual(84);
            }
    });

    it('says when it cannot tell, and draws no curve then', () => {
        const wrapper = mount(TextureRibbon, { props: { assessment: anAssessment({ texture_known: false }) } });
        expect(wrapper.text()).toContain('Cannot tell the texture yet.');
        expect(wrapper.find('polyline').exists()).toBe(false);
    });

    it.each([
        [38, 'Pours from about 38 °C.'],
        [null, 'Still stands at 40 °C.'],
    ])('pours from %d: %s', (pours, words) =>
        expect(mount(TextureRibbon, { props: { assessment: anAssessment({ pours_from_c: pours }) } }).text()).toContain(words),
    );

    it('says nothing of pouring where it is liquid in the cold', () => {
        const assessment = anAssessment({ solids: { 10: 3, 20: 0, 25: 0, 30: 0, 35: 0, 40: 0 } });
        expect(mount(TextureRibbon, { props: { assessment } }).text()).not.toContain('Pours');
    });
});

describe('curves laid over each other', () => {
    const solids = { 10: 60, 20: 50, 25: 40, 30: 20, 35: 5, 40: 0 };

    it('are told apart by dash and name, and are said in words', () => {
        const wrapper = mount(FatCurves, {
            props: {
                what: 'Solid fat',
                series: [
                    { name: 'Shea', solids },
                    { name: 'Cocoa', solids: { ...solids, 25: 70 } },
                ],
            },
        });
        expect(new Set(wrapper.findAll('polyline').map((p) => p.attributes('stroke-dasharray'))).size).toBe(2);
        expect(wrapper.get('figcaption').text()).toContain('Cocoa');
        expect(wrapper.get('svg').attributes('aria-label')).toContain('Cocoa: 60 % at 10 °C, 50 % at 20 °C, 70 % at 25 °C');
    });

    it('leave out what is liquid all the way or not known, and draw nothing where nothing is left', () => {
        const oil = { 10: 0, 20: 0, 25: 0, 30: 0, 35: 0, 40: 0 };
        const series = [
            { name: 'Jojoba', solids: oil },
            { name: 'New', solids: null },
        ];
        expect(
            mount(FatCurves, { props: { what: 'Solid fat', series } })
                .find('svg')
                .exists(),
        ).toBe(false);
        const wrapper = mount(FatCurves, { props: { what: 'Solid fat', series: [...series, { name: 'Shea', solids }] } });
        expect(wrapper.findAll('polyline')).toHaveLength(1);
    });
});
