import { describe, expect, it } from 'vitest';
import { MATERIALS, type STRIP_METHODS } from '#core/facts/index';
import { stripMethods, stripVerdict } from './index.ts';

const TABLE = `
gel        ok ok care ok ok never care never never ok
chlorinated care care care care care never never never never care
caustic    care ok care never ok care ok never care never
alkaline   care ok care care care test ok care care never
alcohol    ok ok test ok ok test ok care test care
wet-sand   ok ok care ok ok ok ok care care care
brush      ok ok care care ok never never never never never
blast      care ok never care care never never never never never
heat       never never never never never never never never never never`;
const COLUMNS = ['zinc', 'steel', 'tinplate', 'aluminium', 'brass', 'polystyrene', 'pp', 'rubber', 'plated-plastic', 'wood'] as const;

describe('strip verdicts', () => {
  for (const line of TABLE.trim().split('\n')) {
    const [method, ...verdicts] = line.split(/\s+/);
    it(`judges ${method} as the table does, lead excluded`, () => {
      const got = COLUMNS.map(
        (material) => stripVerdict({ material, finish: 'sound', leadExcluded: true }, method as (typeof STRIP_METHODS)[number]).verdict,
      );
      expect(got).toEqual(verdicts);
    });
  }

  it('never blasts, brushes or heats while lead is not excluded, and no one may override it', () => {
    for (const material of MATERIALS) {
      for (const method of ['blast', 'brush', 'heat'] as const) {
        expect(stripVerdict({ material, finish: 'sound' }, method)).toMatchObject({ verdict: 'never', noOverride: true });
      }
    }
  });
  it('keeps caustic from aluminium, magnesium, galvanised and the unknown', () => {
    for (const material of ['aluminium', 'magnesium', 'galvanised', 'unknown'] as const) {
      expect(stripVerdict({ material, leadExcluded: true }, 'caustic')).toMatchObject({ verdict: 'never', noOverride: true });
    }
  });
  it('gives an unknown material the worst of all', () => {
    expect(stripVerdict({ material: 'unknown', finish: 'sound' }, 'gel').verdict).toBe('never');
    expect(stripVerdict({ material: 'unknown', finish: 'sound' }, 'alcohol').verdict).toBe('care');
  });
  it('minds flaking paint, printing and glazing', () => {
    expect(stripVerdict({ material: 'steel', finish: 'flaking' }, 'scuff').verdict).toBe('never');
    expect(stripVerdict({ material: 'tinplate', finish: 'sound', printed: true }, 'gel').verdict).toBe('never');
    expect(stripVerdict({ material: 'clear', finish: 'sound', staysClear: true }, 'scuff').verdict).toBe('never');
  });
  it('asks for a test patch when unsure, none where nothing is removed', () => {
    expect(stripVerdict({ material: 'zinc', finish: 'unknown' }, 'gel').testPatch).toBe('required');
    expect(stripVerdict({ material: 'zinc', finish: 'sound' }, 'gel').testPatch).toBe('offered');
    expect(stripVerdict({ material: 'zinc', finish: 'sound' }, 'scuff').testPatch).toBe('no');
    expect(stripVerdict({ material: 'abs', finish: 'sound' }, 'gel').testPatch).toBe('no');
  });
  it('advises the mildest that works and never a chlorinated remover', () => {
    expect(stripMethods({ material: 'zinc', finish: 'flaking' }).advised).toBe('gel');
    expect(stripMethods({ material: 'abs', finish: 'flaking' }).advised).toBe('wet-sand');
    expect(stripMethods({ material: 'steel', finish: 'sound' }).advised).toBe('scuff');
    expect(stripMethods({ material: 'brass', finish: 'bare' }).advised).toBeNull();
    for (const material of MATERIALS) expect(stripMethods({ material }).advised).not.toBe('chlorinated');
  });
});
