import { type BelowFamily, isMetal, plain } from '#core/facts/index';
import { familyDrying } from '#core/drying/index';
import { ENAMELS, LACQUER_GROUP } from './bite.ts';
import { totalBite } from './biteRule.ts';
import type { Above, Below, Finding } from './jointTypes.ts';

/** Two lacquers that dissolve into each other: the group on itself or on nitro, nitro on nitro (trade §6, lacquer group). */
export function lacquersMeet(below: Below, above: Above): boolean {
  const nitro = below.family === 'nitro-lacquer';
  if (above.family === 'nitro-lacquer') return nitro;
  return LACQUER_GROUP.includes(above.family) && (nitro || LACQUER_GROUP.includes(below.family as BelowFamily));
}

/** A lacquer older than 60 days under fresh lacquer is care (trade §6, lacquer group). */
export function agedLacquer(below: Below, above: Above): Finding | null {
  if (!lacquersMeet(below, above)) return null;
  if ((below.ageDays ?? 0) <= 60) return null;
  return { verdict: 'care', rule: '3 lacquer group', because: 'The lacquer below is older than 60 days: mist coats first, it may craze.' };
}

/** Rule 3: pairs painters name. The first that answers counts; null: the pair has no name. */
export function namedPair(below: Below, above: Above): Finding | null {
  if (below.family === null) return onBare(below, above);
  for (const rule of [
    dyeOverPaint,
    heatPaint,
    overBasecoat,
    overCandy,
    candyOverMetallic,
    overEtch,
    overEpoxy,
    overSealer,
    overLacquerPrimer,
    withinLacquers,
    waterOverScuffed,
  ]) {
    const finding = rule(below, above);
    if (finding) return finding;
  }
  return null;
}

function named(verdict: Finding['verdict'], because: string): Finding {
  return { verdict, rule: '3 named pair', because };
}

function onBare(below: Below, above: Above): Finding | null {
  if (above.family === 'dye') {
    if (below.material === 'vinyl' || below.material === 'abs') return named('sits', `Dye sinks into clean ${plain(below.material)}.`);
    if (below.material === 'polystyrene') return named('care', 'Dye is hot for polystyrene: try it on a sprue first.');
  }
  if (above.family === 'high-temperature' && !isMetal(below.material))
    return named('stop', 'High-temperature paint goes only on bare metal or its own primer.');
  return null;
}

function dyeOverPaint(_below: Below, above: Above): Finding | null {
  return above.family === 'dye' ? named('stop', 'Dye must sink into bare plastic; over any paint it stays sticky.') : null;
}

function heatPaint(below: Below, above: Above): Finding | null {
  if (above.family === 'high-temperature') return named('stop', 'High-temperature paint goes only on bare metal or its own primer.');
  if (below.family === 'high-temperature') return named('stop', 'Only its own range goes over high-temperature paint.');
  return null;
}

/** Hours since the last coat, or enough where not said. */
function beforeLayer(below: Below, hours: number): Finding | null {
  if (below.hours === undefined || below.hours >= hours) return null;
  return named(
    'stop',
    `Another product waits ${Math.round(hours * 60)} min on ${plain(below.family as string)}; it has had ${Math.round(below.hours * 60)}.`,
  );
}

function overBasecoat(below: Below, above: Above): Finding | null {
  if (above.role !== 'clear' || below.state !== 'fresh') return null;
  const oneK = above.family === 'acrylic-lacquer';
  const twoK = above.family === 'urethane-2k';
  if (below.family === 'solvent-base' && (oneK || twoK)) {
    return beforeLayer(below, familyDrying('solvent-base').layerFrom) ?? named('sits', 'Clear over solvent basecoat in its window.');
  }
  if (below.family !== 'waterborne-base') return null;
  if (twoK)
    return (
      beforeLayer(below, familyDrying('waterborne-base').layerFrom) ?? named('sits', '2K clear over waterborne basecoat in its window.')
    );
  if (oneK) return beforeLayer(below, 2) ?? named('care', '1K lacquer clear over waterborne basecoat: from 2 h, in light coats.');
  return null;
}

function overCandy(below: Below, above: Above): Finding | null {
  if (below.family !== 'candy') return null;
  if (below.state !== 'fresh')
    return named('stop', 'Candy left uncleared past a day takes nothing: strip it, or try it on a board of your own.');
  if (above.role !== 'clear') return null;
  if (above.family === 'acrylic-lacquer') return named('sits', '1K lacquer clear over candy, the same day.');
  if (above.family === 'urethane-2k') return named('care', '2K clear over candy in its window: light first coat.');
  return null;
}

function candyOverMetallic(below: Below, above: Above): Finding | null {
  const madeForIt = LACQUER_GROUP.includes(below.family as BelowFamily);
  return above.family === 'candy' && below.metallic && madeForIt && below.state === 'fresh'
    ? named('sits', 'Transparent colour over the metallic made for it, in its window.')
    : null;
}

function overEtch(below: Below, above: Above): Finding | null {
  if (below.family !== 'etch-primer') return null;
  if (above.family === 'epoxy-primer') return named('stop', 'Epoxy over etch primer lets go, unless the epoxy’s own label names etch.');
  if (above.family === 'waterborne-base') return named('care', 'Waterborne base straight on etch: a primer between is safer.');
  if (below.state !== 'fresh') return null;
  const takes =
    LACQUER_GROUP.includes(above.family) ||
    above.family === 'nitro-lacquer' ||
    above.family === 'urethane-2k' ||
    ENAMELS.includes(above.family) ||
    above.family === 'texture';
  return takes
    ? (beforeLayer(below, familyDrying('etch-primer').layerFrom) ?? named('sits', `${plain(above.family)} over etch in its window.`))
    : null;
}

/** Water-type and waterborne colour over waterborne sealer in its window; others wait until it is dry. */
function overSealer(below: Below, above: Above): Finding | null {
  const meant = above.family === 'water-acrylic' || above.family === 'waterborne-base';
  if (below.family !== 'waterborne-sealer' || below.state !== 'fresh' || !meant) return null;
  return (
    beforeLayer(below, familyDrying('waterborne-sealer').layerFrom) ??
    named('sits', `${plain(above.family)} over waterborne sealer in its window.`)
  );
}

function overEpoxy(below: Below, above: Above): Finding | null {
  if (below.family !== 'epoxy-primer') return null;
  if (above.family === 'etch-primer') return named('stop', 'Etch never goes over epoxy.');
  if (below.state !== 'fresh') return null;
  if (above.family === 'urethane-2k') return named('sits', '2K over epoxy in its window.');
  return beforeLayer(below, totalBite(below, above) >= 4 ? 12 : 2) ?? named('sits', `${plain(above.family)} over epoxy in its window.`);
}

function overLacquerPrimer(below: Below, above: Above): Finding | null {
  if (below.family !== 'lacquer-primer' || above.role === 'clear' || above.family === 'etch-primer') return null;
  const primer = above.role?.endsWith('primer') || above.family === 'epoxy-primer';
  if (primer || (below.state !== 'dry' && below.state !== 'cured')) return null;
  return agedLacquer(below, above) ?? named('sits', 'Colour sits over dry lacquer primer.');
}

function withinLacquers(below: Below, above: Above): Finding | null {
  if (below.family === null || below.family === 'candy' || !lacquersMeet(below, above)) return null;
  if (below.state === 'fresh') {
    const early = beforeLayer(below, familyDrying(below.family as 'acrylic-lacquer').layerFrom);
    if (early) return early;
  }
  if (below.family === 'nitro-lacquer') {
    return { verdict: 'care', rule: '3 lacquer group', because: 'Acrylic lacquer over nitro: mist coats first, it may craze.' };
  }
  return agedLacquer(below, above) ?? { verdict: 'sits', rule: '3 lacquer group', because: 'Lacquers fuse: mist coat first, then wet.' };
}

function waterOverScuffed(below: Below, above: Above): Finding | null {
  return above.family === 'water-acrylic' && below.scuffed && below.state === 'cured'
    ? named('sits', 'Water-type acrylic over a scuffed, cured film.')
    : null;
}
