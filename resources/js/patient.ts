import { mount } from 'svelte';
import '../css/patient.css';
import App from './patient/App.svelte';
import { focusStays } from './shared/focusStays';
import { followTheSystem } from './shared/nightPaper';
import { settings, showSettings } from './patient/keeping/settings';

followTheSystem();
focusStays();
showSettings(settings());
const target = document.getElementById('app');
if (target) mount(App, { target });

// Off a secure connection there is none: then the pages need a network.
if ('serviceWorker' in navigator) {
    window.addEventListener('load', () => {
        navigator.serviceWorker.register('/worker.js', { scope: '/my' }).catch(() => undefined);
    });
}
