import { createInertiaApp, type ResolvedComponent } from '@inertiajs/svelte';
import '../css/practitioner.css';

const pages = import.meta.glob<ResolvedComponent>('./pages/*.svelte');

void createInertiaApp({
    nonce: document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content,
    progress: { color: '#1f5c57', showSpinner: false },
    resolve: async (name) => {
        const page = pages[`./pages/${name}.svelte`];
        if (!page) throw new Error(`There is no page ${name}.`);
        return page();
    },
});
