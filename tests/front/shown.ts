import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query';
import { flushPromises, mount, type VueWrapper } from '@vue/test-utils';
import { createPinia } from 'pinia';
import { h, type Component } from 'vue';
import { createMemoryHistory, createRouter } from 'vue-router';

/** As in the application, but that nothing is asked for twice by itself. */
const aClient = (): QueryClient => new QueryClient({ defaultOptions: { queries: { retry: false }, mutations: { networkMode: 'always' } } });

/** Shows a component as the application would: with its router, its store and its cache of the server's answers. */
export async function show(component: Component, props: Record<string, unknown> = {}, at = '/') {
    const client = aClient();
    const router = createRouter({
        history: createMemoryHistory(),
        routes: [{ path: '/:rest(.*)*', component: { render: () => h('div') } }],
    });
    await router.push(at);
    const wrapper: VueWrapper = mount(component, {
        props,
        attachTo: document.body,
        global: { plugins: [createPinia(), [VueQueryPlugin, { queryClient: client }], router] },
    });
    await flushPromises();
    return { wrapper, client, router };
}

/** Runs a composable inside a component, as it must, and hands out what it returns. */
export function within<T>(use: () => T): { it: T; leave: () => void } {
    let it!: T;
    const wrapper = mount(
        {
            setup() {
                it = use();
                return () => h('div');
            },
        },
        { global: { plugins: [[VueQueryPlugin, { queryClient: aClient() }]] } },
    );
    return { it, leave: () => wrapper.unmount() };
}

/** The one element that is so called: by its label, or else by its words. */
export function by(selector: string, name: string | RegExp): HTMLElement {
    const found = [...(document.querySelectorAll(selector) as NodeListOf<HTMLElement>)].filter((e) => {
        const label = (e as HTMLInputElement).labels?.[0];
        const words = (e.getAttribute('aria-label') ?? label?.textContent ?? e.textContent ?? '').replaceAll(/\s+/g, ' ').trim();
        return typeof name === 'string' ? words === name : name.test(words);
    });
    if (found.length !== 1) throw new Error(`${found.length} of ${selector} are called ${name}`);
    return found[0] as HTMLElement;
}

/** The words of what is shown as they are seen: where one element ends and the next begins there is room between them. */
export function said(shown: VueWrapper | HTMLElement): string {
    const words: string[] = [];
    const walk = document.createTreeWalker('element' in shown ? (shown.element as HTMLElement) : shown, NodeFilter.SHOW_TEXT);
    for (let text = walk.nextNode(); text; text = walk.nextNode()) words.push(text.textContent ?? '');
    return words.join(' ').replaceAll(/\s+/g, ' ').trim();
}

/** Writes into a field as a hand would: what stands there is replaced, and the field is left. */
export async function fill(name: string | RegExp, text: string): Promise<void> {
    const field = by('input, textarea, select', name) as HTMLInputElement;
    field.value = text;
    field.dispatchEvent(new Event('input', { bubbles: true }));
    field.dispatchEvent(new Event('change', { bubbles: true }));
    await flushPromises();
}

/** Goes into a field that offers things, writes a little where that is given, and takes one of them. */
export async function pick(name: string, option: string, typed = ''): Promise<void> {
    const field = by('input', name) as HTMLInputElement;
    field.focus();
    await flushPromises();
    field.click();
    await flushPromises();
    if (typed !== '') {
        field.value = typed;
        field.dispatchEvent(new Event('input', { bubbles: true }));
        await flushPromises();
    }
    by('[role=option]', option).dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 }));
    await flushPromises();
}

export async function click(name: string | RegExp, selector = 'button'): Promise<void> {
    by(selector, name).click();
    await flushPromises();
}

export async function press(name: string | RegExp, key: string, more: KeyboardEventInit = {}): Promise<void> {
    by('input, textarea, select, button, [role=slider]', name).dispatchEvent(
        new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }),
    );
    await flushPromises();
}
