import { writeFileSync } from 'node:fs';
import { type Facts, FORMAT, FORMAT_VERSION, readWorkshopText } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { DEMO_MOMENT, workshopFacts } from './facts.ts';
import { demoLog } from './log.ts';
import { drawPictures } from './drawPictures.ts';
import { demoPieces } from './pieces.ts';

/** Writes demo/breakwater.json, the demo workshop in the open file format, and draws its pictures: `npm run demo-file`. */
const facts: Facts = { ...workshopFacts(), pieces: demoPieces(), events: [] };
facts.events = demoLog(facts).sort((a, b) => a.at.localeCompare(b.at));
const text = `${JSON.stringify({ format: FORMAT, version: FORMAT_VERSION, writtenAt: toIso(DEMO_MOMENT), facts }, null, 1)}\n`;
const read = readWorkshopText(text);
if (!read.ok) {
  console.error(read.problem);
  process.exit(1);
}
writeFileSync(new URL('./breakwater.json', import.meta.url), text);
await drawPictures(new URL('./pictures', import.meta.url).pathname);
