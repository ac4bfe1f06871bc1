import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, type Page } from '@playwright/test';

/** The way from a device to the clinic, which can be cut. */
export class Way {
    isCut = false;
    private readonly server = createServer((from, to) => {
        if (this.isCut) {
            from.socket.destroy();
            return;
        }
        const { hostname, port } = new URL(this.goal);
        const onward = request(
            {
                hostname,
                port,
                path: from.url,
                method: from.method,
                headers: { ...from.headers, host: `${hostname}:${port}` },
            },
            (answer) => {
                to.writeHead(answer.statusCode ?? 502, answer.headers);
                answer.pipe(to);
            },
        );
        onward.on('error', () => to.destroy());
        from.pipe(onward);
    });

    private constructor(private readonly goal: string) {}

    static async to(goal: string): Promise<Way> {
        const way = new Way(goal);
        await new Promise<void>((done) => way.server.listen(0, '127.0.0.1', done));
        return way;
    }

    get address(): string {
        return `http://127.0.0.1:${(this.server.address() as AddressInfo).port}`;
    }

    close(): void {
        this.server.closeAllConnections();
        this.server.close();
    }
}

/** Stand-ins of devices that are paired on the page that is open. */
export class Devices {
    private readonly running: ChildProcess[] = [];

    /** @returns its name */
    async pair(page: Page, to: string, device: 'belts' | 'oximeter', ...how: string[]): Promise<string> {
        const name = `${device} ${Math.random().toString(36).slice(2, 8)}`;
        const field = page.getByLabel('Name', { exact: true });
        if (!(await field.isVisible())) await page.getByText('Pair another device').click();
        await field.fill(name);
        await page.getByRole('button', { name: 'Make a code' }).click();
        const code = await page.getByRole('status').locator('strong').innerText();
        const folder = mkdtempSync(join(tmpdir(), 'stand-in-'));
        this.running.push(
            spawn('bin/stand-in', [device, ...how, '--to', to, '--code', code, '--keep', folder, '--recordings', '2'], {
                stdio: 'ignore',
                detached: true,
            }),
        );
        await expect(page.getByLabel(name)).toBeVisible();
        return name;
    }

    end(): void {
        for (const { pid } of this.running) {
            try {
                if (pid !== undefined) process.kill(-pid);
            } catch {
                // It has ended by itself.
            }
        }
    }
}
