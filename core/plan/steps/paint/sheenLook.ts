import { glossOf, resolveLayer, sheenName } from '#core/coats/index';
import { listed } from '#core/units/index';
import type { PlanContext, PlannedFilm } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';
import { onceReached } from '../constraints.ts';

/** Sheen is judged once it has dried down: satins look glossy wet (trade §7). */

const LOOK_MINUTES = 2;

/** A look at the sheen where one is wanted, once the top films take a hand. */
export function addSheenLook(chain: StepChain, { facts, history }: PlanContext, tops: readonly PlannedFilm[]): void {
  const { piece, part } = chain.of;
  const wanted = [...new Set(part.zones.flatMap((zone) => (zone.bare === undefined && zone.sheen ? [zone.sheen] : [])))];
  const top = part.layers.at(-1);
  if (wanted.length === 0 || !top || tops.length === 0) return;
  const { family, role, label } = resolveLayer(top, facts);
  const dries = sheenName(glossOf(family, role, label).gloss);
  const wet = history
    .ofPiece(piece.id)
    .filter((event) => event.kind === 'sheen-read' && event.partId === part.id && event.when === 'wet')
    .at(-1);
  chain.add(
    {
      stage: 'look',
      subject: 'sheen',
      title: 'Look at the sheen again, dried down',
      minutes: LOOK_MINUTES,
      detail: [
        `wanted ${listed(wanted)}; it should dry to ${dries}`,
        ...(wet?.kind === 'sheen-read' ? [`wet it looked ${wet.looks}`] : ['wet says nothing: satins look glossy then']),
        'by the window, along the surface',
      ].join('; '),
      because: 'A sheen is judged only once it has dried down; what is off is put right before the part is fitted.',
      asks: { kind: 'sheen' },
      treatment: 'look at the sheen',
    },
    tops.map((film) => onceReached(film, 'handle', `the ${film.name} must have dried down`)),
  );
}
