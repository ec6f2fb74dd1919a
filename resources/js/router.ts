/** Every address, what it is called, and who may open it. */
import { createRouter, createWebHistory } from 'vue-router';
import { useSession } from './ui/session';

export const router = createRouter({
    history: createWebHistory(),
    scrollBehavior: (_to, _from, saved) => saved ?? { top: 0 },
    routes: [
        {
            path: '/sign-in',
            name: 'sign-in',
            component: () => import('./places/studio/SignIn.vue'),
            meta: { open: true, title: 'Sign in' },
        },
        {
            path: '/open',
            name: 'open-studio',
            component: () => import('./places/studio/OpenStudio.vue'),
            meta: { open: true, title: 'Open a studio' },
        },
        {
            path: '/recover',
            name: 'recover',
            component: () => import('./places/studio/RecoverPlace.vue'),
            meta: { open: true, title: 'Forgot your password?' },
        },
        {
            path: '/join/:token([A-Za-z0-9_-]{22})',
            name: 'join',
            component: () => import('./places/studio/JoinPlace.vue'),
            props: true,
            meta: { open: true, title: 'Join a studio' },
        },
        {
            path: '/look/:token([A-Za-z0-9_-]{22})',
            name: 'look',
            component: () => import('./places/rhythm/LookPlace.vue'),
            props: true,
            meta: { open: true, title: 'A routine' },
        },
        {
            path: '/jar/:token([A-Za-z0-9_-]{22})',
            name: 'jar',
            component: () => import('./places/papers/JarPassport.vue'),
            props: true,
            meta: { open: true, title: 'A jar' },
        },
        { path: '/set-up', name: 'set-up', component: () => import('./places/studio/SetUp.vue'), meta: { title: 'Set up your studio' } },
        { path: '/', name: 'today', component: () => import('./places/today/TodayPlace.vue'), meta: { title: 'Today' } },
        {
            path: '/formulas',
            name: 'formulas',
            component: () => import('./places/formulas/FormulasPlace.vue'),
            meta: { title: 'Formulas' },
        },
        {
            path: '/formulas/paste',
            name: 'paste',
            component: () => import('./places/formulas/PastePlace.vue'),
            meta: { title: 'Paste a recipe' },
        },
        {
            path: '/formulas/new',
            name: 'new-formula',
            component: () => import('./places/formulas/NewFormula.vue'),
            meta: { title: 'Begin a formula' },
        },
        {
            path: '/formulas/compare',
            name: 'compare-formulas',
            component: () => import('./places/formulas/CompareFormulas.vue'),
            meta: { title: 'Formulas side by side' },
        },
        {
            path: '/formulas/:id(\\d+)',
            name: 'formula',
            component: () => import('./places/formulas/FormulaPlace.vue'),
            props: true,
            meta: { title: 'Formula' },
        },
        { path: '/steeps', name: 'steeps', component: () => import('./places/steeps/SteepsPlace.vue'), meta: { title: 'Steeps' } },
        {
            path: '/steeps/start',
            name: 'start-steep',
            component: () => import('./places/steeps/StartSteep.vue'),
            meta: { title: 'Start a steep' },
        },
        {
            path: '/steeps/:id(\\d+)',
            name: 'steep',
            component: () => import('./places/steeps/SteepPlace.vue'),
            props: true,
            meta: { title: 'Steep' },
        },
        {
            path: '/steeps/:id(\\d+)/strain',
            name: 'strain',
            component: () => import('./places/steeps/StrainDay.vue'),
            props: true,
            meta: { title: 'Strain day' },
        },
        { path: '/make', name: 'make', component: () => import('./places/make/MakePlace.vue'), meta: { title: 'Make' } },
        {
            path: '/make/:id(\\d+)',
            name: 'batch',
            component: () => import('./places/make/BatchPlace.vue'),
            props: true,
            meta: { title: 'Batch' },
        },
        { path: '/pantry', name: 'pantry', component: () => import('./places/pantry/PantryPlace.vue'), meta: { title: 'Pantry' } },
        { path: '/pantry/shelf', name: 'shelf', component: () => import('./places/pantry/ShelfPlace.vue'), meta: { title: 'The shelf' } },
        { path: '/pantry/orders', name: 'orders', component: () => import('./places/pantry/OrdersPlace.vue'), meta: { title: 'Orders' } },
        {
            path: '/pantry/shopping',
            name: 'shopping',
            component: () => import('./places/pantry/ShoppingPlace.vue'),
            meta: { title: 'Shopping list' },
        },
        {
            path: '/pantry/lots/:id(\\d+)',
            name: 'lot',
            component: () => import('./places/pantry/LotPlace.vue'),
            props: true,
            meta: { title: 'On the shelf' },
        },
        {
            path: '/pantry/compare',
            name: 'compare',
            component: () => import('./places/pantry/ComparePlace.vue'),
            meta: { title: 'Side by side' },
        },
        {
            path: '/pantry/own/:id(new|own-\\d+)',
            name: 'own-ingredient',
            component: () => import('./places/pantry/OwnPlace.vue'),
            props: true,
            meta: { title: 'An ingredient of your own' },
        },
        {
            path: '/pantry/:id',
            name: 'ingredient',
            component: () => import('./places/pantry/IngredientPlace.vue'),
            props: true,
            meta: { title: 'Ingredient' },
        },
        { path: '/heads', name: 'heads', component: () => import('./places/heads/HeadsPlace.vue'), meta: { title: 'Heads' } },
        {
            path: '/heads/:id(\\d+|new)',
            name: 'head',
            component: () => import('./places/heads/HeadPlace.vue'),
            props: true,
            meta: { title: 'Head' },
        },
        { path: '/rhythm', name: 'rhythm', component: () => import('./places/rhythm/RhythmPlace.vue'), meta: { title: 'Rhythm' } },
        {
            path: '/rhythm/:id(\\d+)',
            name: 'routine',
            component: () => import('./places/rhythm/RoutinePlace.vue'),
            props: true,
            meta: { title: 'Routine' },
        },
        { path: '/papers', name: 'papers', component: () => import('./places/papers/PapersPlace.vue'), meta: { title: 'Papers' } },
        {
            path: '/methods/:name([a-z-]+)?',
            name: 'method',
            component: () => import('./places/papers/MethodPlace.vue'),
            props: true,
            meta: { title: 'How it is worked out' },
        },
        { path: '/studio', name: 'studio', component: () => import('./places/studio/StudioPlace.vue'), meta: { title: 'Studio' } },
        { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./places/studio/NowherePlace.vue'), meta: { title: 'Not here' } },
    ],
});

/** Where a helper has something to do. */
const HELPED = /^\/(?:$|steeps(?:\/\d+)?$|make(?:\/\d+)?$|rhythm(?:\/\d+)?$|methods|studio)/;

router.beforeEach(async (to) => {
    const session = useSession();
    try {
        await session.load();
    } catch {
        // The page itself says that the application does not answer.
    }
    if (!session.signedIn && !to.meta['open']) return { name: 'sign-in', query: { to: to.fullPath } };
    if (session.signedIn && ['sign-in', 'open-studio', 'recover'].includes(String(to.name))) return { name: 'today' };
    // What is not one's part is not shown; the server refuses it in any case.
    if (session.signedIn && !session.may('make') && !HELPED.test(to.path) && !to.meta['open']) return { name: 'today' };
    return true;
});

router.afterEach((to) => {
    document.title = `${String(to.meta['title'] ?? '')} · Honest Crown`;
});
