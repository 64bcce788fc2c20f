import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      // Whole jobs, acted out by the interface: asked for by `npm run lived` alone.
      ...(process.env.LIVED
        ? [
            {
              test: {
                name: 'lived',
                include: ['e2e/lived/**/*.lived.ts'],
                environment: 'node' as const,
                testTimeout: 1_800_000,
                hookTimeout: 120_000,
                fileParallelism: false,
              },
            },
          ]
        : []),
      {
        test: {
          name: 'core',
          pool: 'threads',
          // The core keeps no state of its own: read once for all its tests, on every core of the machine.
          isolate: false,
          maxWorkers: '100%',
          include: [
            'core/**/*.test.ts',
            'demo/**/*.test.ts',
            'bin/**/*.test.ts',
            'docs/**/*.test.ts',
            'web/**/*.test.ts',
            'speed/**/*.test.ts',
          ],
          environment: 'node',
          testTimeout: 60_000,
        },
      },
      { test: { name: 'server', include: ['server/**/*.test.ts'], environment: 'node', testTimeout: 60_000, maxWorkers: '100%' } },
      {
        test: {
          name: 'interface',
          include: ['e2e/**/*.test.ts'],
          environment: 'node',
          testTimeout: 240_000,
          hookTimeout: 120_000,
          // Slow machines run these too; a poll that waits costs nothing where all is quick.
          expect: { poll: { timeout: 20_000, interval: 60 } },
          // Each file has a server, a folder and a browser of its own: two at a time.
          maxWorkers: '100%',
        },
      },
    ],
  },
});
