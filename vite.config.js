import { svelte } from '@sveltejs/vite-plugin-svelte';
import tailwindcss from '@tailwindcss/vite';
import laravel from 'laravel-vite-plugin';
import { defineConfig } from 'vite';

// Two front ends: the practitioner's (Inertia and Flowbite) and the patient's, which has to stay small, with its worker.
export default defineConfig({
    plugins: [
        laravel({
            input: ['resources/js/practitioner.ts', 'resources/js/patient.ts', 'resources/js/worker.ts'],
            buildDirectory: process.env.BUILD_DIRECTORY ?? 'build',
        }),
        tailwindcss(),
        svelte(),
    ],
    resolve: { alias: { $lib: '/resources/js/lib' } },
});
