import { FORMAT_VERSION } from '../file/format.ts';
import { from1 } from './from1.ts';
import { from10 } from './from10.ts';
import { from11 } from './from11.ts';
import { from2 } from './from2.ts';
import { from3 } from './from3.ts';
import { from4 } from './from4.ts';
import { from5 } from './from5.ts';
import { from6 } from './from6.ts';
import { from7 } from './from7.ts';
import { from8 } from './from8.ts';
import { from9 } from './from9.ts';
import type { Raw, Upgrade } from './types.ts';

/** Facts of earlier versions brought up to today's, one version after the other; pure, and without an opinion on what is wrong in them. */

/** The step from each version to the next. */
const UPGRADES: Readonly<Record<number, Upgrade>> = {
  1: from1,
  2: from2,
  3: from3,
  4: from4,
  5: from5,
  6: from6,
  7: from7,
  8: from8,
  9: from9,
  10: from10,
  11: from11,
};

export function isRecord(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function listOf(value: unknown): readonly Raw[] {
  return Array.isArray(value) ? value.filter(isRecord) : [];
}

/** A file of any known version as one of today's; what is no such file comes back as it is, for the schema to refuse. */
export function upgraded(file: unknown): unknown {
  if (!isRecord(file) || !isRecord(file.facts) || typeof file.version !== 'number') return file;
  let { version, facts }: { version: number; facts: Raw } = { version: file.version, facts: file.facts };
  for (; version < FORMAT_VERSION && UPGRADES[version]; version++) facts = upgradedFacts(facts, UPGRADES[version]);
  return { ...file, version, facts };
}

function upgradedFacts(facts: Raw, upgrade: Upgrade): Raw {
  const lists = Object.fromEntries(Object.entries(facts).map(([name, value]) => [name, listOf(value)]));
  const changed = Object.fromEntries(
    Object.entries(facts).map(([name, value]) => [
      name,
      Array.isArray(value)
        ? value.map((item) => (isRecord(item) ? (name === 'events' ? upgrade.event(item) : upgrade.fact(name, item)) : item))
        : value,
    ]),
  );
  return { ...changed, ...upgrade.added(lists) };
}

/** One stored fact of an earlier version as one of today's: what an earlier state in the database needs. */
export function upgradedFact(collection: string, fact: Raw, from: number): Raw {
  let own = fact;
  for (let version = from; version < FORMAT_VERSION; version++) own = UPGRADES[version].fact(collection, own);
  return own;
}

/** Whether facts of this version can be brought up to today's. */
export function canUpgrade(version: number): boolean {
  for (let step = version; step < FORMAT_VERSION; step++) if (!UPGRADES[step]) return false;
  return version <= FORMAT_VERSION;
}
