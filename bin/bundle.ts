import { build } from 'esbuild';

/** Bundles the server and the command line into dist/, so that they start at once without a compiler. */
export async function bundle(outdir: string): Promise<void> {
  await build({
    entryPoints: { server: 'server/main.ts', calendarThread: 'server/planning/calendarThread.ts', cli: 'bin/cli.ts' },
    absWorkingDir: new URL('..', import.meta.url).pathname,
    outdir,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    packages: 'external',
    logLevel: 'warning',
  });
}

if (process.argv[1]?.endsWith('bundle.ts')) await bundle('dist');
