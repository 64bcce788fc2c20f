// Sends the newest line of a sensor's file into a place: node docs/sendSensor.mjs FILE PLACE [http://127.0.0.1:4180]
// The file has lines of time, temperature in °C and humidity in %, such as 2026-12-01T19:00:00Z,18.5,55
import { readFileSync } from 'node:fs';

const [file, placeId, server = 'http://127.0.0.1:4180'] = process.argv.slice(2);
if (!file || !placeId) {
  console.error('Usage: node docs/sendSensor.mjs FILE PLACE [SERVER]');
  process.exit(2);
}
const [at, airC, rh] = readFileSync(file, 'utf8').trim().split('\n').at(-1).split(',');
const { revisions } = await (await fetch(`${server}/api/workshop`)).json();
const reply = await fetch(`${server}/api/facts/readings/${placeId}`, {
  method: 'PUT',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify({
    revision: revisions[`readings/${placeId}`] ?? 0,
    value: { id: placeId, placeId, at: at.trim(), airC: Number(airC), rh: Number(rh), from: 'sensor' },
  }),
});
const answer = await reply.json();
if (!reply.ok) {
  console.error(`${answer.title} ${answer.mend}`);
  process.exit(1);
}
console.log(`Sent: ${airC} °C, ${rh} % at ${at}.`);
