import { defineConfig } from '@playwright/test';
import { existsSync } from 'node:fs';

const port = 8398;
export const baseURL = `http://127.0.0.1:${port}`;
/** Debian's Chromium: where it is installed, its shell without windows, which takes a third less time. */
export const executablePath = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync);
export const data = `${import.meta.dirname}/var/e2e-data`;

export default defineConfig({
    testDir: 'e2e',
    outputDir: 'var/playwright',
    workers: 2,
    fullyParallel: true,
    forbidOnly: true,
    expect: { timeout: 10_000 },
    timeout: 60_000,
    reporter: [['list', { printSteps: false }]],
    use: {
        baseURL,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        launchOptions: {
            executablePath,
            args: [
                '--no-sandbox',
                '--disable-gpu',
                '--disable-quic',
                '--no-first-run',
                '--disable-background-networking',
                '--disable-component-update',
                '--disable-sync',
            ],
        },
    },
    webServer: {
        command: `mkdir -p ${data}/compiled && bin/octavum start --port ${port} --fresh`,
        url: `${baseURL}/sign-in`,
        env: { OCTAVUM_DATA: data },
        timeout: 120_000,
    },
});
