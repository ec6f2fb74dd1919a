import { mount } from '@vue/test-utils';
import { h, nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { acts, onKey, useActs } from '../../resources/js/ui/acts';
import CommandLine from '../../resources/js/ui/CommandLine.vue';
import FormProblem from '../../resources/js/ui/FormProblem.vue';
import KeysHelp from '../../resources/js/ui/KeysHelp.vue';
import NoticeBar from '../../resources/js/ui/NoticeBar.vue';
import { notice, tell, tellProblem } from '../../resources/js/ui/notice';
import { applyTheme, theme, turnTheme } from '../../resources/js/ui/theme';
import WaitOrProblem from '../../resources/js/ui/WaitOrProblem.vue';
import { Problem } from '../../resources/js/api/client';
import { flushPromises } from '@vue/test-utils';
import { aServer, later } from './api';
import { aRow } from './made';
import { by, fill, show } from './shown';

const withActs = (mine: Parameters<typeof useActs>[0]) =>
    mount({
        setup() {
            useActs(mine);
            return () => h('div');
        },
    });

describe('keys that start acts', () => {
    const press = (key: string, more: KeyboardEventInit = {}, on: EventTarget = document.body): KeyboardEvent => {
        const event = new KeyboardEvent('keydown', { key, cancelable: true, bubbles: true, ...more });
        Object.defineProperty(event, 'target', { value: on });
        onKey(event);
        return event;
    };

    it('work while what offers them is on the screen, and not after', () => {
        const run = vi.fn();
        const wrapper = withActs([{ label: 'Start a steep', key: 's', run }]);
        expect(press('s').defaultPrevented).toBe(true);
        wrapper.unmount();
        expect(press('s').defaultPrevented).toBe(false);
        expect(run).toHaveBeenCalledTimes(1);
        expect(acts).toHaveLength(0);
    });

    it('are left alone while something is typed, with a modifier, or under a dialog', () => {
        const run = vi.fn();
        withActs([{ label: 'Start a steep', key: 's', run }]);
        for (const tag of ['input', 'textarea', 'select']) press('s', {}, document.createElement(tag));
        press('s', { ctrlKey: true });
        press('s', { metaKey: true });
        press('s', { altKey: true });
        const dialog = document.createElement('div');
        dialog.setAttribute('role', 'dialog');
        document.body.append(dialog);
        press('s');
        expect(run).not.toHaveBeenCalled();
    });

    it('of the place on top win over those of the frame', () => {
        const [frame, place] = [vi.fn(), vi.fn()];
        withActs([{ label: 'Frame', key: 'n', run: frame }]);
        withActs([{ label: 'Place', key: 'n', run: place }]);
        press('n');
        expect([frame.mock.calls.length, place.mock.calls.length]).toEqual([0, 1]);
    });

    it('are listed in the help, those without a key too', async () => {
        withActs([
            { label: 'Start a steep', key: 's', run: () => undefined },
            { label: 'Compare', run: () => undefined },
        ]);
        await show(KeysHelp, { open: true });
        expect(document.body.textContent).toContain('Start a steep');
    });
});

describe('what is said at the foot', () => {
    beforeEach(() => {
        vi.useFakeTimers();
        notice.value = null;
    });
    afterEach(() => vi.useRealTimers());

    it('goes away by itself, a problem does not', async () => {
        tell('Kept.');
        vi.advanceTimersByTime(8001);
        expect(notice.value).toBeNull();
        tellProblem(new Error('The jar is too small.'));
        vi.advanceTimersByTime(60_000);
        expect(notice.value).toMatchObject({ words: 'The jar is too small.', stop: true });
    });

    it('the timer of an older word does not take a newer one away', () => {
        tell('First.');
        vi.advanceTimersByTime(7000);
        tell('Second.');
        vi.advanceTimersByTime(2000);
        expect((notice.value as unknown as { words: string } | null)?.words).toBe('Second.');
    });

    it('does not show what is not an error to a reader as code', () => {
        tellProblem({ odd: true });
        expect((notice.value as unknown as { words: string } | null)?.words).toMatch(/Something went wrong here/);
    });

    it('has an undo that is done once', async () => {
        const undo = vi.fn();
        const wrapper = mount(NoticeBar);
        tell('Taken out.', { undo });
        await nextTick();
        expect(wrapper.get('[role=status]').text()).toContain('Taken out.');
        await wrapper.findAll('button')[0]?.trigger('click');
        expect(undo).toHaveBeenCalledTimes(1);
        expect(notice.value).toBeNull();
        expect(wrapper.findAll('button')).toHaveLength(0);
    });

    it('has no undo where there is none', async () => {
        const wrapper = mount(NoticeBar);
        tell('Kept.');
        await nextTick();
        expect(wrapper.findAll('button').map((b) => b.text())).toEqual(['Close']);
    });
});

describe('light and dark', () => {
    const system = (dark: boolean): void => void vi.stubGlobal('matchMedia', () => ({ matches: dark }));

    it('follows the system until a choice is made, and then the choice', () => {
        system(true);
        applyTheme();
        expect(document.documentElement.dataset['theme']).toBe('dark');
        turnTheme();
        expect(theme.value).toBe('light');
        applyTheme();
        expect(document.documentElement.dataset['theme']).toBe('light');
    });

    it('does not believe a kept value that makes no sense', () => {
        system(false);
        localStorage.setItem('theme', 'plaid');
        applyTheme();
        expect(theme.value).toBe('light');
    });
});

describe('waiting and problems', () => {
    it('says what is fetched, then shows it', async () => {
        const wrapper = mount(WaitOrProblem, { props: { pending: true, error: null, what: 'your steeps' }, slots: { default: 'Here' } });
        expect(wrapper.text()).toBe('Fetching your steeps…');
        await wrapper.setProps({ pending: false });
        expect(wrapper.text()).toBe('Here');
    });

    it('says a problem in words, and can be asked again', async () => {
        const wrapper = mount(WaitOrProblem, {
            props: { pending: false, error: new Problem(0, 'The application does not answer.'), what: 'x' },
        });
        expect(wrapper.get('[role=alert]').text()).toContain('The application does not answer.');
        await wrapper.get('button').trigger('click');
        expect(wrapper.emitted('again')).toHaveLength(1);
        await wrapper.setProps({ error: new TypeError('x is undefined') });
        expect(wrapper.text()).not.toContain('undefined');
    });

    it('names the problem of one field only', () => {
        const errors = { grams: ['Between 0 and 100,000.', 'second'], jars: ['At least 1.'] };
        const wrapper = mount(FormProblem, { props: { errors, field: 'grams' } });
        expect(wrapper.get('[role=alert]').text()).toBe('Between 0 and 100,000.');
        expect(
            mount(FormProblem, { props: { errors, field: 'note' } })
                .find('[role=alert]')
                .exists(),
        ).toBe(false);
    });
});

describe('the line that finds and does', () => {
    const type = (text: string): Promise<void> => fill('Find or do anything', text);
    const options = (): string[] =>
        [...document.querySelectorAll('[role=option]')].map((o) => (o.textContent ?? '').replaceAll(/\s+/g, ' ').trim());

    it('offers what can be done before a letter is typed, and narrows it', async () => {
        aServer().on('GET', '/api/formulas', { items: [], next: null });
        withActs([
            { label: 'Start a steep', key: 's', run: () => undefined },
            { label: 'Print it', run: () => undefined },
        ]);
        await show(CommandLine, { open: true });
        expect(options()).toEqual(['Start a steepkey s', 'Print itdo']);
        await type('p');
        expect(options()).toEqual(['Start a steepkey s', 'Print itdo']);
        await type('pri');
        expect(options()).toEqual(['Print itdo']);
    });

    it('finds formulas and ingredients; Enter opens the first', async () => {
        const server = aServer();
        server.on('GET', '/api/formulas', { items: [{ id: 3, title: 'Shea whip', kind: 'whipped-butter' }], next: null });
        server.on('GET', '/api/ingredients', { items: [aRow('shea-butter', 'Shea butter')] });
        const { wrapper, router } = await show(CommandLine, { open: true });
        await type(' shea & ');
        expect(server.to('/api/formulas')[0]?.path).toBe('/api/formulas?q=shea%20%26');
        expect(options()).toEqual(['Shea whipWhipped butter', 'Shea butterIngredient']);
        by('input', 'Find or do anything').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
        await flushPromises();
        expect(router.currentRoute.value.path).toBe('/formulas/3');
        expect(wrapper.emitted('update:open')).toEqual([[false]]);
    });

    it('does not show the answer to earlier letters that comes late', async () => {
        const server = aServer();
        const slow = later<unknown>();
        const answers: unknown[] = [slow.promise, { items: [], next: null }];
        server.on('GET', '/api/formulas', () => answers.shift());
        server.on('GET', '/api/ingredients', { items: [] });
        await show(CommandLine, { open: true });
        await type('sh');
        await type('bee');
        slow.settle({ items: [{ id: 3, title: 'Shea whip', kind: 'whipped-butter' }], next: null });
        await flushPromises();
        expect(options()).toEqual([]);
        expect(document.body.textContent).toContain('Nothing by that name');
    });

    it('waits for the answer to what is written when Enter comes before it', async () => {
        const server = aServer();
        const slow = later<unknown>();
        const answers: unknown[] = [{ items: [{ id: 3, title: 'Clove oil', kind: 'oil-blend' }], next: null }, slow.promise];
        server.on('GET', '/api/formulas', () => answers.shift());
        server.on('GET', '/api/ingredients', { items: [] });
        const { router } = await show(CommandLine, { open: true });
        await type('clo');
        await type('cloud');
        by('input', 'Find or do anything').dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
        await flushPromises();
        expect(router.currentRoute.value.path).not.toBe('/formulas/3');
        slow.settle({ items: [{ id: 8, title: 'Cloud butter', kind: 'whipped-butter' }], next: null });
        await flushPromises();
        expect(router.currentRoute.value.path).toBe('/formulas/8');
    });

    it('still finds acts when the server is away', async () => {
        vi.stubGlobal('fetch', () => Promise.reject(new TypeError('refused')));
        withActs([{ label: 'Start a steep', run: () => undefined }]);
        await show(CommandLine, { open: true });
        await type('steep');
        expect(options()).toEqual(['Start a steepdo']);
    });
});
