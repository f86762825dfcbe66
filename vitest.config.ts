import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'catalogue/**/*.test.ts',
            'demo/**/*.test.ts',
            'proof/**/*.test.ts',
            'cli/**/*.test.ts',
            'web/**/*.test.ts',
          ],
          testTimeout: 30_000,
        },
      },
      {
        test: {
          name: 'server',
          include: ['server/**/*.test.ts'],
          testTimeout: 60_000,
          hookTimeout: 60_000,
          fileParallelism: false,
        },
      },
    ],
  },
});
