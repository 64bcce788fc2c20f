import type { Raw, Upgrade } from './types.ts';

/**
 * Version 2: papers owned become rows of stock, a parcel says what it holds, and old files without air or systems get empty ones.
 */
export const from1: Upgrade = {
  fact: (collection, fact) => {
    if (collection === 'workshop') return without(fact, 'grits');
    if (collection === 'pieces') return { ...fact, parcels: listOf(fact.parcels).map(parcel) };
    return fact;
  },
  event: (event) => event,
  added: (facts) => ({
    airSeries: facts.airSeries ?? [],
    systems: facts.systems ?? [],
    stock: (facts.workshop ?? []).flatMap((workshop) => papers(workshop.grits)),
  }),
};

function without(fact: Raw, key: string): Raw {
  const { [key]: _gone, ...rest } = fact;
  return rest;
}

function listOf(value: unknown): readonly Raw[] {
  return Array.isArray(value) ? value : [];
}

/** The part a parcel replaced waited for it whole. */
function parcel(own: Raw): Raw {
  if (own.partId === undefined) return own;
  return { ...without(own, 'partId'), holds: { partId: own.partId } };
}

/** Papers were kept by grade alone: some of each, never counted. */
function papers(grits: unknown): Raw[] {
  return (Array.isArray(grits) ? grits : []).map((grit) => ({
    id: `paper-P${grit}`,
    kind: 'paper',
    spec: `P${grit}`,
    unit: 'sheet',
    leftAt: '2026-01-01T00:00:00Z',
  }));
}
