import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app.ts';
import { Changes } from './changes.ts';
import { minuteNow, setClock } from './clock.ts';
import { runDailyCopies } from './dailyCopies.ts';
import { simulatedShops } from './standins/shops.ts';
import { runForecasts, runSensors } from './sensors.ts';
import { BadSetting } from './badSetting.ts';
import { namedAddresses } from './phone/phoneListener.ts';
import { openDemo, openWorkshop } from './workshopFolder.ts';

/** Starts the server: `--demo` with the demo workshop, `--fresh` from its file again. PORT and ENAMELOS_DATA are honoured. */

const argv = process.argv.slice(2);
const demo = argv.includes('--demo');
const folder = resolve(process.env.ENAMELOS_DATA ?? (demo ? './demo-data' : './data'));
const port = Number(process.env.PORT ?? 4180);

try {
  if (process.env.ENAMELOS_NOW) setClock(process.env.ENAMELOS_NOW);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new BadSetting(`PORT is a number from 0 to 65535, not "${process.env.PORT}".`);
  const { store, close, ...parts } = demo ? await openDemo(folder, argv.includes('--fresh'), minuteNow()) : openWorkshop(folder);
  const changes = new Changes();
  const failing = (process.env.ENAMELOS_FAIL ?? '').split(',');
  const app = await buildApp({
    store,
    shops: simulatedShops(failing.includes('shops')),
    ...parts,
    phoneAddresses: namedAddresses(process.env.ENAMELOS_PHONE ?? ''),
    changes,
    webFolder: join(dirname(fileURLToPath(import.meta.url)), 'web'),
  });
  const stopSensors = runSensors(
    store,
    changes,
    failing.includes('sensor') ? 'silent' : failing.includes('sensor-nonsense') ? 'nonsense' : undefined,
  );
  const stopForecasts = runForecasts(store, changes, failing.includes('forecast'));
  parts.copies.clearRemains();
  const stopCopies = runDailyCopies(parts.copies);
  const stop = async () => {
    stopSensors();
    stopForecasts();
    stopCopies();
    await app.close();
    close();
    process.exit(0);
  };
  process.on('SIGTERM', stop);
  process.on('SIGINT', stop);
  await app.listen({ port, host: '127.0.0.1' });
  const address = app.server.address();
  const { trouble, setAside } = store.snapshot();
  if (trouble) console.error(`${trouble} The workshop is open for reading and export only.`);
  if (setAside > 0) console.error(`${setAside} facts or entries could not be read and were set aside: see Workshop.`);
  console.log(`Enamelos is ready at http://127.0.0.1:${typeof address === 'object' && address ? address.port : port}`);
} catch (error) {
  if (error instanceof BadSetting) console.error(error.message);
  else if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') console.error(`Port ${port} is taken. Set PORT to another.`);
  else console.error(error);
  process.exit(1);
}
