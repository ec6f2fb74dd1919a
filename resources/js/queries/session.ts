import { api, got, type Schemas } from '../api/client';
import { useWrite } from './write';

export const session = () => got(api.GET('/api/session'));

export const useSignIn = () => useWrite((body: Schemas['SignIn']) => got(api.POST('/api/sign-in', { body })));

export const useEnterDemo = () => useWrite(() => got(api.POST('/api/demo')));

export const useSignOut = () => useWrite(() => got(api.POST('/api/sign-out')));

export const useChangePassword = () => useWrite((body: Schemas['PasswordChange']) => got(api.PUT('/api/password', { body })));

/** Every figure is worked out with it from now on. */
export const useSaveStudio = () => useWrite((body: Schemas['StudioDraft']) => got(api.PUT('/api/studio', { body })), { stale: [[]] });
