import type { NeededData, PracticeOf, TodayData } from '../types';

/** Whose a practice is, and of which version. */
export const practiceOf = (page: TodayData, versionId: number): PracticeOf => ({
    version_id: versionId,
    rated_symptom: page.day.rated_symptom ?? '',
    owner: page.owner,
    help: page,
    rules: page.rules,
    credit: 'mine',
});

/** The recovery that is the same for everyone: of no version, and nothing is rated. */
export const recoveryOf = (needed: NeededData, credit: 'nobody' | 'ask'): PracticeOf => ({
    version_id: 0,
    rated_symptom: '',
    owner: needed.owner,
    help: needed,
    rules: needed.rules,
    credit,
});
