import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { zipSync } from 'fflate';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { bundle } from './bundle.ts';

const root = new URL('..', import.meta.url).pathname;
let built = '';
beforeAll(async () => {
  built = mkdtempSync(join(root, 'dist-test-'));
  await bundle(built);
});
afterAll(() => rmSync(built, { recursive: true, force: true }));

const run = (args: readonly string[], input = '') => {
  const result = spawnSync('node', [join(built, 'cli.js'), ...args], { cwd: root, input, encoding: 'utf8' });
  return { code: result.status, out: result.stdout, err: result.stderr };
};

describe('the command line', () => {
  it('plans the demo as JSON', () => {
    const { code, out } = run(['plan', 'demo/breakwater.json']);
    const plan = JSON.parse(out);
    expect(code).toBe(0);
    expect(plan.steps.length).toBeGreaterThan(60);
    expect(plan.steps[0].holds.by).toBeTruthy();
  });
  it('checks with exit 1 on a stop', () => {
    const { code, out } = run(['check', 'demo/breakwater.json']);
    expect(code).toBe(1);
    expect(JSON.parse(out).some((row: { verdict: string; remedies: string[] }) => row.verdict === 'stop' && row.remedies.length > 0)).toBe(
      true,
    );
  });
  it('reads the plan of the demo as a practitioner, by itself and as a question, and says of a torn file where', () => {
    const { code, out } = run(['check', 'demo/breakwater.json', '--sense']);
    const { findings } = JSON.parse(out) as { findings: { chosenBy: string }[] };
    expect(code).toBe(0);
    expect(findings.filter(({ chosenBy }) => chosenBy === 'tool')).toEqual([]);
    const file = JSON.parse(readFileSync(join(root, 'demo/breakwater.json'), 'utf8'));
    const asked = run(['ask', 'sense'], JSON.stringify({ file, now: file.writtenAt }));
    expect(JSON.parse(asked.out)).toMatchObject({ findings, rule: 'the sceptic' });
    const torn = run(
      ['ask', 'sense'],
      JSON.stringify({ file: { ...file, facts: { ...file.facts, pieces: 'none' } }, now: file.writtenAt }),
    );
    expect(torn.code).toBe(2);
    expect(JSON.parse(torn.err).at).toContain('pieces');
  });
  it('exits 2 with place and mend on a bad file', () => {
    const { code, err } = run(['plan', 'package.json']);
    expect(code).toBe(2);
    expect(JSON.parse(err)).toMatchObject({ at: 'format' });
    expect(run(['plan', 'nowhere.json']).code).toBe(2);
    expect(run(['plan', 'demo/breakwater.json', '--now', 'soon']).code).toBe(2);
  });
  it('takes a zip as it takes a file, and says what is wrong with a torn one', () => {
    const zip = join(built, 'workshop.zip');
    const text = readFileSync(join(root, 'demo/breakwater.json'));
    writeFileSync(zip, zipSync({ 'workshop.json': new Uint8Array(text) }));
    expect(JSON.parse(run(['check', zip]).out)).toEqual(JSON.parse(run(['check', 'demo/breakwater.json']).out));
    writeFileSync(zip, 'PK and nothing more');
    expect(JSON.parse(run(['plan', zip]).err)).toMatchObject({ at: '(file)' });
  });
  it('answers one question or many, bad items in place', () => {
    expect(JSON.parse(run(['ask', 'dew'], '{"airC":22,"rh":65}').out).dewPointC).toBeCloseTo(15.1, 1);
    const many = JSON.parse(
      run(
        ['ask', 'joint'],
        JSON.stringify([
          { below: { family: 'alkyd-enamel', material: 'steel', state: 'shut' }, above: { family: 'alkyd-enamel' } },
          { below: {} },
        ]),
      ).out,
    );
    expect(many[0]).toMatchObject({ verdict: 'stop', source: 'default' });
    expect(many[1]).toHaveProperty('mend');
    const bad = run(['ask', 'amount'], '{"family":"candy","tool":"gun","faces":[],"coats":1}');
    expect(bad.code).toBe(2);
    expect(JSON.parse(bad.err).at).toBe('faces');
    const basket = run(
      ['ask', 'buy'],
      '{"needs":[{"id":"n","ml":60,"byDay":2,"products":["p"]}],"offers":[{"id":"o","shop":"s","product":"p","ml":50,"price":300,"leadDays":1}],"shops":[{"id":"s","delivery":90}]}',
    );
    expect(JSON.parse(basket.out)).toMatchObject({ lines: [{ offer: 'o', count: 2 }], total: 690, optimal: true });
    expect(run(['ask', 'weather'], '{}').code).toBe(2);
    expect(run(['ask', 'dew'], 'nonsense').code).toBe(2);
  });
  it('lists its questions', () => {
    expect(Object.keys(JSON.parse(run(['ask', '--list']).out))).toEqual([
      'dew',
      'clock',
      'strip',
      'ladder',
      'order',
      'mix',
      'schedule',
      'sense',
      'joint',
      'amount',
      'hide',
      'buy',
    ]);
  });
});
