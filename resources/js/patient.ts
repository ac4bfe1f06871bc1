import { mount } from 'svelte';
import '../css/patient.css';
import App from './patient/App.svelte';

const target = document.getElementById('app');
if (target) mount(App, { target });
