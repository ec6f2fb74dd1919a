import { flushPromises } from '@vue/test-utils';
import { beforeEach, describe, expect, it } from 'vitest';
import MethodPlace from '../../resources/js/places/papers/MethodPlace.vue';
import { aServer, Status } from './api';
import { by, said, show } from './shown';

let server: ReturnType<typeof aServer>;
beforeEach(() => {
    server = aServer();
    server.on('GET', '/api/methods', {
        items: [
            { name: 'life', title: 'Shelf life' },
            { name: 'texture', title: 'Texture' },
        ],
    });
    server.on('GET', '/api/methods/life', {
        name: 'life',
        title: 'Shelf life',
        text: '\nSee [texture](texture.md) and [out](https://example.org/a.md).\n\n| a | b |\n| --- | --- |\n| 1 | 2 |\n\n<b onclick="x()">no</b>\n',
    });
});

describe('how it is worked out', () => {
    it('shows the page with its tables, and marks it in the list', async () => {
        const { wrapper } = await show(MethodPlace, { name: 'life' });
        expect(by('h1', 'Shelf life')).toBeTruthy();
        expect(wrapper.findAll('td').map((c) => c.text())).toEqual(['1', '2']);
        expect(by('nav a', 'Shelf life').getAttribute('aria-current')).toBe('page');
        expect(by('nav a', 'Texture').getAttribute('aria-current')).toBeNull();
    });

    it('shows HTML in a text as it is written and runs nothing', async () => {
        const { wrapper } = await show(MethodPlace, { name: 'life' });
        expect(wrapper.find('b').exists()).toBe(false);
        expect(said(wrapper)).toContain('<b onclick=');
    });

    it('follows a link to another page within the application, and leaves others alone', async () => {
        const { router } = await show(MethodPlace, { name: 'life' }, '/methods/life');
        const click = (name: string): MouseEvent => {
            const event = new MouseEvent('click', { bubbles: true, cancelable: true });
            by('.method a', name).dispatchEvent(event);
            return event;
        };
        expect(click('out').defaultPrevented).toBe(false);
        expect(click('texture').defaultPrevented).toBe(true);
        await flushPromises();
        expect(router.currentRoute.value.path).toBe('/methods/texture');
    });

    it('says so when there is no such page', async () => {
        server.on('GET', '/api/methods/nonsense', new Status(404, { message: 'Not here.' }));
        const { wrapper } = await show(MethodPlace, { name: 'nonsense' });
        expect(wrapper.get('[role=alert]').text()).toContain('Not here.');
    });

    it('without a page says what the pages are', async () => {
        const { wrapper } = await show(MethodPlace);
        expect(said(wrapper)).toContain('measured, converted or estimated');
        expect(server.to('/api/methods/life')).toHaveLength(0);
    });
});
