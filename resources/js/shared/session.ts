import type { Api } from '../api';

type Session = Api['SessionResource'];

/** When it was fetched, for what is only remembered: long ago. */
export const REMEMBERED = 1;

/** The script that kept it: another build may know more of a session. */
const BUILD = import.meta.url;

const NAME = 'nasturtium.session';

/** Who was signed in on this window when it was loaded last, so that its rooms stand before the server has answered. */
export function keptSession(): Session | undefined {
    try {
        const kept = sessionStorage.getItem(NAME);
        const { build, session } = JSON.parse(kept ?? '{}') as { build?: string; session?: Session };
        return build === BUILD ? session : undefined;
    } catch {
        return undefined;
    }
}

export function keepSession(session: Session | undefined): void {
    try {
        if (session === undefined) sessionStorage.removeItem(NAME);
        else sessionStorage.setItem(NAME, JSON.stringify({ build: BUILD, session }));
    } catch {
        // It is asked for again.
    }
}
