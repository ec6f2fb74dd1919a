import { queryOptions } from '@tanstack/vue-query';
import { api, got, Problem, type Schemas } from '../api/client';
import { forgetAll, keepOnlyOf, keptSession, unsentOf } from '../api/kept';
import { useMake, useWrite } from './write';

/** Who is signed in; without a network whoever was when the counter was last open. */
export async function session(): Promise<Schemas['Session']> {
    try {
        const answer = await got(api.GET('/api/session'));
        await keepOnlyOf(answer);
        return answer;
    } catch (e) {
        const kept = e instanceof Problem && e.passes ? await keptSession() : undefined;
        if (kept) return kept;
        throw e;
    }
}

/** Whoever comes in: what was kept for another on this device goes. */
async function entered(answer: Promise<Schemas['Session']>): Promise<Schemas['Session']> {
    await keepOnlyOf(await answer);
    return answer;
}
export const useSignIn = () => useWrite((body: Schemas['SignIn']) => entered(got(api.POST('/api/sign-in', { body }))));

export const useEnterDemo = () => useWrite(() => entered(got(api.POST('/api/demo'))));

export const useOpenStudio = () => useWrite((body: Schemas['StudioOpening']) => entered(got(api.POST('/api/studios', { body }))));

export const useRecover = () => useWrite((body: Schemas['RecoveryAsk']) => got(api.POST('/api/recover', { body })));

export const useAskMail = () => useWrite((body: Schemas['MailAsk']) => got(api.POST('/api/recover/mail', { body })));
export const useRecoverByMail = () => useWrite((body: Schemas['RecoveryAsk']) => got(api.PUT('/api/recover/mail', { body })));

/** How much of what was done at the counter waits on this device for whoever is signed in. */
export const unsent = (session: Schemas['Session'] | null): Promise<number> => unsentOf(session?.user?.email ?? '');

export const useSignOut = () =>
    useWrite(async () => {
        const answer = await got(api.POST('/api/sign-out'));
        await forgetAll();
        return answer;
    });

export const useChangePassword = () =>
    useWrite((body: Schemas['PasswordChange']) => got(api.PUT('/api/password', { body })), { stale: [['devices']] });

/** Every figure is worked out with it from now on. */
export const useSaveStudio = () => useWrite((body: Schemas['StudioDraft']) => got(api.PUT('/api/studio', { body })), { stale: [[]] });

// Where makers disagree.
export const schoolsQuery = () => queryOptions({ queryKey: ['schools'], queryFn: () => got(api.GET('/api/schools')), staleTime: Infinity });
export const useChooseSchool = () =>
    useWrite((body: Schemas['SchoolChoice']) => got(api.PUT('/api/schools', { body })), { inTurn: 'schools' });

export const countriesQuery = () =>
    queryOptions({ queryKey: ['countries'], queryFn: () => got(api.GET('/api/countries')), staleTime: Infinity });

// Where this person is signed in.
export const devicesQuery = () => queryOptions({ queryKey: ['devices'], queryFn: () => got(api.GET('/api/devices')) });

const keepDevices = { keep: () => ['devices'] };
export const useEndDevice = () =>
    useWrite((device: string) => got(api.DELETE('/api/devices/{device}', { params: { path: { device } } })), keepDevices);
export const useEndOthers = () => useWrite(() => got(api.DELETE('/api/devices')), keepDevices);

export const useNewCodes = () => useWrite((body: Schemas['CodesAsk']) => got(api.POST('/api/recovery-codes', { body })));

// Who is in the studio.
export const peopleQuery = () => queryOptions({ queryKey: ['people'], queryFn: () => got(api.GET('/api/people')) });
export const securityQuery = () =>
    queryOptions({ queryKey: ['security-log'], queryFn: () => got(api.GET('/api/security-log')), staleTime: 0 });
/** What stands in it before a row. */
export const earlierInLog = (before: number) => got(api.GET('/api/security-log', { params: { query: { before: String(before) } } }));

const keepPeople = { keep: () => ['people'], stale: [['security-log']] };
export const useChangeRole = () =>
    useWrite(
        ({ person, ...body }: { person: number } & Schemas['RoleAsk']) =>
            got(api.PUT('/api/people/{person}', { params: { path: { person } }, body })),
        keepPeople,
    );
export const useRemovePerson = () =>
    useWrite((person: number) => got(api.DELETE('/api/people/{person}', { params: { path: { person } } })), keepPeople);
export const useInvite = () =>
    useMake((body: Schemas['RoleAsk'], keyed) => got(api.POST('/api/invitations', { body, ...keyed })), {
        stale: [['people'], ['security-log']],
    });
export const useUninvite = () =>
    useWrite((invitation: number) => got(api.DELETE('/api/invitations/{invitation}', { params: { path: { invitation } } })), keepPeople);

export const invitationQuery = (token: string) =>
    queryOptions({
        queryKey: ['join', token],
        queryFn: () => got(api.GET('/api/join/{token}', { params: { path: { token } } })),
        retry: false,
    });
export const useJoin = (token: string) =>
    useWrite((body: Schemas['JoinAsk']) => entered(got(api.POST('/api/join/{token}', { params: { path: { token } }, body }))));

// Taking everything away, and leaving.
export const studioExport = () => got(api.GET('/api/studio/export'));
export const useLeaveStudio = () =>
    useWrite((body: Schemas['LeaveAsk']) => got(api.POST('/api/studio/leave', { body })), { stale: [['security-log']] });
export const useStay = () => useWrite(() => got(api.DELETE('/api/studio/leave')), { stale: [['security-log']] });
