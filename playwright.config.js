import { defineConfig } from '@playwright/test';

const port = 8398;

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
        baseURL: `http://127.0.0.1:${port}`,
        viewport: { width: 1280, height: 800 },
        locale: 'en-GB',
        launchOptions: {
            executablePath: '/usr/bin/chromium',
            args: ['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking', '--disable-component-update', '--disable-sync'],
        },
    },
    webServer: {
        command: `bin/octavum start --port ${port} --fresh`,
        url: `http://127.0.0.1:${port}/sign-in`,
        env: { OCTAVUM_DATA: `${import.meta.dirname}/var/e2e-data` },
        timeout: 120_000,
    },
});
