import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'core',
          pool: 'threads',
          include: ['core/**/*.test.ts', 'demo/**/*.test.ts', 'bin/**/*.test.ts', 'docs/**/*.test.ts'],
          environment: 'node',
          testTimeout: 60_000,
        },
      },
      { test: { name: 'server', include: ['server/**/*.test.ts'], environment: 'node', testTimeout: 60_000, fileParallelism: false } },
      {
        test: {
          name: 'interface',
          include: ['e2e/**/*.test.ts'],
          environment: 'node',
          testTimeout: 90_000,
          hookTimeout: 90_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
