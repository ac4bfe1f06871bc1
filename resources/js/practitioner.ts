import { createInertiaApp, type ResolvedComponent } from '@inertiajs/svelte';
import '../css/practitioner.css';
import { followTheFocus } from './lib/focus';
import { takeSecretOutOfTheAddress } from './lib/secret';
import { focusStays } from './shared/focusStays';
import { followTheSystem } from './shared/nightPaper';
import { signIn } from './lib/signIn.svelte';
import { belongsTo } from './lib/tab';

const pages = import.meta.glob<ResolvedComponent>(['./pages/*.svelte', './pages/door/*.svelte']);

takeSecretOutOfTheAddress();
followTheFocus();
followTheSystem();
focusStays();

void createInertiaApp({
    nonce: document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content,
    progress: { color: '#1f5c57', showSpinner: false },
    resolve: async (name, props) => {
        // Before the page is drawn: it reads what was kept.
        const key = (props?.props as { who?: { key: string } | null } | undefined)?.who?.key ?? null;
        belongsTo(key);
        if (key !== null) signIn.opened(key);
        const page = pages[`./pages/${name}.svelte`] ?? pages[`./pages/door/${name}.svelte`];
        if (!page) throw new Error(`There is no page ${name}.`);
        return page();
    },
});
