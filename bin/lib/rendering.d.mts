import type { Page } from '@playwright/test';

export interface Rendered {
    technique: string;
    seconds: number;
    tones: number;
    worst: number;
    missing: number;
    inOrder: boolean;
}

export function timelines(): Record<string, unknown>;
export function render(page: Page, only?: string[]): Promise<Rendered[]>;
