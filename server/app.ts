import swagger from '@fastify/swagger';
import swaggerUi from '@fastify/swagger-ui';
import Fastify, { type FastifyInstance } from 'fastify';
import { jsonSchemaTransform, jsonSchemaTransformObject, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod';
import { existsSync } from 'node:fs';
import { Changes } from './changes.ts';
import { guardLoopback } from './guard.ts';
import { servePages } from './pages.ts';
import { homeAddresses, type PhoneAddress, PhoneListener } from './phone/phoneListener.ts';
import { CalendarPlans } from './planning/calendarPlans.ts';
import { answerWithProblems } from './problems.ts';
import { benchRoutes } from './routes/bench.ts';
import { phoneRoutes } from './routes/phone.ts';
import { secured } from './secured.ts';
import type { Devices } from './store/devices.ts';
import { answerBadAddress, listensFor, PATIENCE, type Patience, readJson } from './requests.ts';
import { changeRoutes } from './routes/changes.ts';
import { copyRoutes } from './routes/copies.ts';
import { factRoutes } from './routes/facts.ts';
import { calendarRoutes } from './routes/calendar.ts';
import { fileRoutes } from './routes/files.ts';
import { pictureReading, pictureRoutes } from './routes/pictures.ts';
import { searchRoutes } from './routes/search.ts';
import { shopRoutes } from './routes/shops.ts';
import { type Shops, simulatedShops } from './standins/shops.ts';
import type { Pictures } from './store/pictures.ts';
import type { Copies } from './store/copies.ts';
import type { Store } from './store/store.ts';

export type AppOptions = {
  readonly store: Store;
  readonly pictures: Pictures;
  readonly copies: Copies;
  readonly devices: Devices;
  /** Further names this machine has on the home network. */
  readonly phoneAddresses?: readonly PhoneAddress[];
  readonly changes?: Changes;
  /** Who is asked for prices; absent: the simulated shops. */
  readonly shops?: Shops;
  readonly webFolder?: string;
  readonly patience?: Patience;
};

/** What stands at the head of the page of addresses. */
const ABOUT = `Every address of this workshop, on this machine alone. To try one from a shell:

\`\`\`
curl http://127.0.0.1:4180/api/workshop
curl -X POST http://127.0.0.1:4180/api/events -H 'content-type: application/json' \\
  -d '{"events":[{"id":"note-1","at":"2026-12-01T19:00:00Z","kind":"note","text":"From a script"}]}'
curl -X PUT http://127.0.0.1:4180/api/facts/readings/place-spray -H 'content-type: application/json' \\
  -d '{"revision":0,"value":{"id":"place-spray","placeId":"place-spray","at":"2026-12-01T19:00:00Z","airC":18.5,"rh":55,"from":"sensor"}}'
\`\`\`

A write names the revision it was made from (0: new; \`revisions\` of \`/api/workshop\` has them). docs/sendSensor.mjs sends a
sensor's file into a place.`;

/** The server of one workshop: facts and log, files, changes, and the built pages. */
export async function buildApp({
  store,
  pictures,
  copies,
  devices,
  phoneAddresses = [],
  changes = new Changes(),
  shops = simulatedShops(),
  webFolder,
  patience = PATIENCE,
}: AppOptions): Promise<FastifyInstance> {
  const app = Fastify({ bodyLimit: 5_000_000, forceCloseConnections: true, frameworkErrors: answerBadAddress, ...listensFor(patience) });
  readJson(app);
  app.setValidatorCompiler(validatorCompiler);
  app.setSerializerCompiler(serializerCompiler);
  answerWithProblems(app);
  guardLoopback(app);
  await secured(app);
  await app.register(swagger, {
    openapi: { info: { title: 'Enamelos', version: '0.1.0', description: ABOUT } },
    transform: jsonSchemaTransform,
    transformObject: jsonSchemaTransformObject,
  });
  const calendars = new CalendarPlans();
  const listener = new PhoneListener(
    { store, pictures, changes, devices, calendars, patience, webFolder: webFolder && existsSync(webFolder) ? webFolder : undefined },
    [...phoneAddresses, ...homeAddresses()],
  );
  app.addHook('preClose', () => listener.close());
  app.addHook('preClose', () => calendars.close());
  await app.register(benchRoutes(store, changes));
  await app.register(factRoutes(store, changes));
  await app.register(phoneRoutes(listener, devices, changes));
  await app.register(calendarRoutes(store, calendars));
  await app.register(fileRoutes(store, pictures, copies, changes));
  await app.register(pictureRoutes(store));
  await app.register(copyRoutes(store, copies, changes));
  await app.register(searchRoutes(store));
  await app.register(shopRoutes(store, shops));
  await app.register(pictureReading(pictures));
  await app.register(changeRoutes(store, changes));
  await app.register(swaggerUi, {
    routePrefix: '/api/docs',
    uiConfig: { docExpansion: 'list' },
    theme: { title: 'Enamelos: addresses', css: [{ filename: 'own.css', content: '.swagger-ui .topbar { display: none }' }], favicon: [] },
  });
  app.get('/api/openapi.json', { schema: { hide: true } }, async () => app.swagger());
  if (webFolder && existsSync(webFolder)) await servePages(app, webFolder);
  return app;
}
