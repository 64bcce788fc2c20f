import type { StripMethod, WorkStage } from '#core/facts/index';
import { DAY, type Minute } from '#core/units/index';
import type { WetPart } from '../../films/index.ts';
import type { PlannedStep } from '../plannedStep.ts';

/** Dust and overspray settle on whatever is wet: what hangs near is moved or covered before such work begins (trade §2). */

const DUSTY: readonly WorkStage[] = ['strip', 'repair', 'prep', 'age'];
/** Nothing flies off what is kept wet. */
const WITHOUT_DUST: readonly (StripMethod | undefined)[] = ['wet-sand', 'gel', 'chlorinated', 'caustic', 'alkaline', 'alcohol'];

/** The steps, each with what is wet beside it while it is done. */
export function withWetNearby(steps: readonly PlannedStep[], hanging: readonly WetPart[], sprayPlaceId: string): PlannedStep[] {
  const spells = spellsOf(hanging);
  return steps.map((step) => {
    const wet = wetBeside(step, spells, sprayPlaceId);
    return wet.length === 0
      ? step
      : { ...step, wetNearby: { who: wet.map(({ who }) => who), until: Math.max(...wet.map(({ until }) => until)) } };
  });
}

type Spell = WetPart['wet'][number] & { readonly who: Pick<WetPart, 'pieceId' | 'partId' | 'pegs'> };

/** Every spell that something hangs wet, by the days it falls on: a step asks only for those of its own days. */
function spellsOf(hanging: readonly WetPart[]): ReadonlyMap<number, readonly Spell[]> {
  const byDay = new Map<number, Spell[]>();
  for (const { pieceId, partId, pegs, wet } of hanging)
    for (const spell of wet) {
      const own: Spell = { ...spell, who: { pieceId, partId, pegs } };
      for (const day of daysOf(spell.from, spell.until)) {
        const others = byDay.get(day);
        if (others) others.push(own);
        else byDay.set(day, [own]);
      }
    }
  return byDay;
}

function daysOf(from: Minute, until: Minute): number[] {
  const first = Math.floor(from / DAY);
  return Array.from({ length: Math.floor(until / DAY) - first + 1 }, (_, day) => first + day);
}

function wetBeside({ placed, coat, ...step }: PlannedStep, spells: ReadonlyMap<number, readonly Spell[]>, sprayPlaceId: string) {
  const sprays = coat !== undefined && coat.hand !== 'brush';
  const dusty = DUSTY.includes(step.stage) && step.hazards.includes('dust') && !WITHOUT_DUST.includes(step.method);
  if (!placed || (!sprays && !dusty)) return [];
  const own = new Set(step.on.map(({ partId }) => `${step.pieceId} ${partId}`));
  const near = new Set(daysOf(placed.start, placed.end).flatMap((day) => spells.get(day) ?? []));
  return [...near]
    .filter(({ who }) => !own.has(`${who.pieceId} ${who.partId}`))
    .filter(({ from, until }) => from < placed.end && until > placed.start)
    .filter(({ name, placeId }) => dusty || (placeId === sprayPlaceId && name !== coat?.name));
}
