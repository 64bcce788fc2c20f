import { cleanerMl } from '../beforePaint/surfaceParts.ts';
import { CLEAR_TO_STAY_UM, polishTakes, polishWhyNot } from '#core/coats/index';
import type { Polish } from '#core/facts/index';
import { papers } from '#core/prep/index';
import { workSize } from '#core/survey/index';
import { workMinutes } from '#core/units/index';
import type { PlanContext, PlannedFilm } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { onceReached } from '../constraints.ts';
import { FLAT_AT_100CM2, RINSE_AT_100CM2 } from './afterCoats.ts';

/** Polish of the last film: each paper wet, then compound, once the film is hard enough (trade §7, §12). */

const COMPOUND_AT_100CM2 = 3;

/** Zones of a part that are polished alike: one film on top, the same papers. */
type Polished = { readonly zones: readonly number[]; readonly film: PlannedFilm; readonly polish: Polish };

/** The papers and the compound of every zone that is to be polished; a film that is never polished is left as it dries. */
export function addPolishing(chain: StepChain, context: PlanContext, byZone: readonly (readonly PlannedFilm[])[]): void {
  for (const polished of polishedZones(chain, context, byZone)) addPolish(chain, polished);
}

function polishedZones(chain: StepChain, { facts }: PlanContext, byZone: readonly (readonly PlannedFilm[])[]): Polished[] {
  const { part } = chain.of;
  const groups = new Map<string, Polished>();
  part.zones.forEach(({ id, bare, polish }, zone) => {
    const film = byZone[zone]?.at(-1);
    if (bare !== undefined || !polish || !film || polishWhyNot(part, id, facts)) return;
    const alike = JSON.stringify([film.layerId, polish]);
    const known = groups.get(alike);
    groups.set(alike, { film, polish, zones: [...(known?.zones ?? []), zone] });
  });
  return [...groups.values()];
}

function addPolish(chain: StepChain, { zones, film, polish }: Polished): void {
  const { part } = chain.of;
  const ids = zones.map((zone) => part.zones[zone].id);
  const size = workSize(part, ids);
  // By its paper: one that is chosen later takes no other's place in the log.
  const subject = (by: string) => `polish-${ids[0]}-${by}`;
  const hard = [
    onceReached(film, 'flat', `the ${film.name} must be hard enough to sand`),
    onceReached(film, 'handle', `the ${film.name} must bear a hand`),
  ];
  const where = polish.edges ? 'edges with the last strokes only' : 'flats only: stay off every edge, or tape it';
  const because = `${film.name} keeps at least ${CLEAR_TO_STAY_UM} µm: polished so, flats lose ${polishTakes({ ...polish, edges: false })} µm${polish.edges ? ` and edges ${polishTakes(polish)} µm` : ''}.`;
  const grits = [...polish.papers].sort((one, other) => one - other);
  for (const grit of grits)
    chain.add(
      {
        stage: 'flat',
        subject: subject(`P${grit}`),
        zones,
        grit,
        title: `Flat ${film.name} with P${grit}, wet`,
        // Each paper is rinsed off before the next: one grain of the coarser scratches for ever.
        minutes: workMinutes(FLAT_AT_100CM2, size, 'flat') + workMinutes(RINSE_AT_100CM2, size, 'wash'),
        setup: 2,
        detail: `${where}; a drop of soap, rinse often, dry and look: only this paper’s scratches are left`,
        hazards: ['dust'],
        because,
        supplies: papers([grit], size),
        treatment: `polish P${grit} ${film.layerId}`,
      },
      hard,
    );
  chain.add(
    {
      stage: 'flat',
      subject: subject('compound'),
      acts: ['polish'],
      zones,
      title: `Polish ${film.name} with compound`,
      minutes: workMinutes(COMPOUND_AT_100CM2, size, 'flat'),
      setup: 2,
      detail: `by hand, soft cloth, a little at a time; ${where}; a machine heats 1K film and burns through edges`,
      because,
      supplies: [{ kind: 'compound', spec: 'fine compound', unit: 'mL', amount: cleanerMl(part) }],
      treatment: `polish compound ${film.layerId}`,
    },
    hard,
  );
}
