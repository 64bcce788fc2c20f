import { resolveLayer } from '#core/coats/index';
import type { Facts, Piece } from '#core/facts/index';
import { dayText, listed, localMoment, type Minute } from '#core/units/index';
import type { History } from '../films/index.ts';
import type { PlannedStep } from './plannedStep.ts';

/** A colour whose last coat goes onto its parts on different days shows two tones where they meet (trade §2): which, and when. */
export function apartNotes(piece: Piece, steps: readonly PlannedStep[], history: History, facts: Facts): string[] {
  const timeZone = facts.workshop[0].timeZone;
  const dayOf = (at: Minute) => localMoment(at, timeZone).date;
  return [...lastCoats(piece, steps, history, facts)].flatMap(([name, parts]) => {
    const days = [...new Set(parts.map(({ at }) => dayOf(at)))].sort();
    if (days.length < 2) return [];
    const said = days.map((day) => {
      const own = parts.filter(({ at }) => dayOf(at) === day);
      return `${listed(own.map(({ part }) => part.toLowerCase()))} on ${dayText(own[0].at, timeZone)}`;
    });
    return [
      `${name} goes onto ${said.join(', onto ')}: two days may show as two tones. The same can, shaken as long, as many coats, and look at them side by side.`,
    ];
  });
}

type Laid = { readonly partId: string; readonly part: string; readonly at: Minute };

/** When the last coat of each colour goes onto each part, laid or planned; by the name of the colour. */
function lastCoats(piece: Piece, steps: readonly PlannedStep[], history: History, facts: Facts): Map<string, Laid[]> {
  const found = new Map<string, Laid[]>();
  for (const part of piece.parts) {
    // What is never seen beside the rest may differ.
    if (part.tile || part.gone || !part.faces.some(({ seen }) => seen)) continue;
    for (const layer of part.layers) {
      const { name, role } = resolveLayer(layer, facts);
      if (role !== 'colour' && role !== 'metallic') continue;
      const planned = steps.flatMap(({ coat, on, placed }) =>
        coat?.name === name && placed && on.some(({ partId }) => partId === part.id) ? [placed.start] : [],
      );
      const laid = part.zones.flatMap(({ id }) =>
        history.coatsOn(piece.id, part.id, id).flatMap((coat) => (coat.layerId === layer.id ? [coat.at] : [])),
      );
      const last = Math.max(...laid, ...planned);
      // Two layers of one colour on a part are one colour there.
      const others = (found.get(name) ?? []).filter((own) => own.partId !== part.id);
      if (Number.isFinite(last)) found.set(name, [...others, { partId: part.id, part: part.name, at: last }]);
    }
  }
  return found;
}
