import { useRouter } from 'vue-router';
import { tell, tellProblem } from './notice';

/** Puts a thing away, goes back to its list, and offers to bring it back. */
export function usePutAway(list: string, away: (id: number) => Promise<unknown>, back: (id: number) => Promise<unknown>) {
    const router = useRouter();

    return async function putAway(id: number, name: string): Promise<void> {
        try {
            await away(id);
            await router.push(list);
            tell(`"${name}" was put away.`, { undo: () => void back(id).catch(tellProblem) });
        } catch (e) {
            tellProblem(e);
        }
    };
}
