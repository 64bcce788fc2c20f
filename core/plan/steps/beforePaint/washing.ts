import { staysOf } from '#core/facts/index';
import { cleaningPlan } from '#core/prep/index';
import { workSize } from '#core/survey/index';
import { listed, sentences, workMinutes } from '#core/units/index';
import type { StepChain } from '../chain.ts';
import type { Constraint } from '../constraint.ts';
import { cleanerMl, surfaceHazards } from './surfaceParts.ts';

/** The first steps of any part: what it is made of, and grease off it. */

export const WASH_SETUP_MINUTES = 10;
const WASH_AT_100CM2 = 4;
const TEST_MINUTES = 3;

/** A test for a material nobody knows, before anything depends on it (trade §3). */
export function addMaterialTest(chain: StepChain): void {
  const { part } = chain.of;
  if (part.material !== 'unknown' || part.toldBy !== undefined) return;
  chain.add({
    stage: 'material-test',
    title: 'Find out what it is made of',
    minutes: TEST_MINUTES,
    setup: 2,
    detail:
      'magnet; a scratch on a hidden face: bright metal or plastic dust; does it float? Never a hot needle. Then say so on the survey',
    because: 'Until it is known every method and paint is judged by the worst it may be.',
    treatment: 'material test',
  });
}

/** @param dryFirst what must be dry before the part is washed: films that are to be sanded again */
export function addWash(chain: StepChain, keepsPaint: boolean, dryFirst: readonly Constraint[] = []): void {
  const { part, piece } = chain.of;
  const stays = staysOf(part);
  if (stays) {
    addOnlyWash(chain);
    return;
  }
  if (part.material === 'wood') {
    addWipe(chain, dryFirst);
    return;
  }
  const { forbidden } = cleaningPlan(part.material, { keepsPaint });
  const never = listed(
    forbidden.map(({ name }) => name),
    'or',
  );
  chain.add(
    {
      stage: 'wash',
      title: 'Wash and degrease',
      minutes: workMinutes(WASH_AT_100CM2, workSize(part), 'wash'),
      setup: WASH_SETUP_MINUTES,
      detail: `warm water and detergent, rinse, dry${never ? `; no ${never}` : ''}`,
      because: 'Grease is sanded into scratches and shields paint from stripper.',
      hazards: surfaceHazards(part, piece),
      supplies: [{ kind: 'cleaner', spec: 'detergent', unit: 'mL', amount: cleanerMl(part) }],
      treatment: 'wash',
    },
    dryFirst,
  );
}

/** Wood is brushed and wiped with spirit: water swells it and raises the grain (trade §6, rule 6). */
function addWipe(chain: StepChain, dryFirst: readonly Constraint[]): void {
  const { part, piece } = chain.of;
  chain.add(
    {
      stage: 'wash',
      acts: ['solvent-wipe'],
      title: 'Brush off, wipe with spirit',
      minutes: workMinutes(WASH_AT_100CM2, workSize(part), 'wash'),
      setup: WASH_SETUP_MINUTES,
      detail: 'a soft brush with the grain, then a cloth damp with mineral spirit; never wet, never soaked; let it air',
      because: 'Water swells wood and raises its grain; spirit takes wax and grease and is gone.',
      hazards: [...surfaceHazards(part, piece), 'solvent'],
      supplies: [{ kind: 'cleaner', spec: 'mineral spirit', unit: 'mL', amount: cleanerMl(part) }],
      treatment: 'wipe wood',
    },
    dryFirst,
  );
}

/** Glazing, plating and printing that stay are washed and nothing else. */
function addOnlyWash(chain: StepChain): void {
  const { part } = chain.of;
  const what = { clear: 'glazing', plated: 'plating', printed: 'printing' }[staysOf(part) ?? 'clear'];
  // What stays on wood, a printed face, bears the cleaner no better than the wood bears water.
  const dry = part.material === 'wood';
  chain.add({
    stage: 'wash',
    ...(dry ? { acts: ['handle'] as const } : {}),
    title: `${dry ? 'Dust' : 'Wash'} the ${what}, nothing else`,
    minutes: workMinutes(WASH_AT_100CM2, workSize(part), 'wash'),
    setup: WASH_SETUP_MINUTES,
    detail: dry ? 'a soft, dry brush with the grain: wood takes no water' : 'lukewarm water, a drop of detergent, a soft brush; pat dry',
    because: sentences('it stays as it is', 'paper, filler, solvent or a bath would be its end'),
    treatment: `${dry ? 'dust' : 'wash'} the ${what}`,
  });
}
