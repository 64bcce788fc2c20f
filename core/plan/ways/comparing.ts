import { glossOf, type ResolvedLayer, resolveLayer, sheenName } from '#core/coats/index';
import { colourDifference } from '#core/colour/index';
import { leftOnShelf } from '#core/buying/index';
import type { Facts, Family, Hand, Layer, Part, Piece, Role, System } from '#core/facts/index';
import type { Hazard } from '#core/safety/index';
import type { Conditions } from '#core/drying/index';
import { DAY, type Minute } from '#core/units/index';
import { type Plan, plan } from '../plan.ts';

/**
 * Whole systems of paint on one piece side by side, each planned as if the piece were alone: the same colours, zones and coats in
 * another family, a stack of the person's own, or what stands on the shelf. Coats that are laid stay as they are.
 */

/** A system in which a piece could be painted: its layers part by part. */
export type SystemToCompare = {
  readonly id: string;
  readonly label: string;
  readonly text: string;
  readonly layers: ReadonlyMap<string, readonly Layer[]>;
};

export type Compared = {
  readonly id: string;
  readonly label: string;
  readonly text: string;
  /** Money that goes out, and what it takes by use, minor units. */
  readonly money: number;
  readonly byUse: number;
  readonly about: boolean;
  /** Days from now until it is finished, likely and safe; null where it has no date. */
  readonly likelyDays: number | null;
  readonly safeDays: number | null;
  readonly sessions: number;
  readonly minutes: number;
  readonly wears: string;
  readonly shines: string;
  readonly hazards: readonly Hazard[];
  /** The worst of its joints, and how many of each verdict. */
  readonly verdict: 'sits' | 'care' | 'stop';
  readonly joints: Readonly<Record<'sits' | 'care' | 'stop', number>>;
  /** Why it cannot be finished so; null where it can. */
  readonly stopped: string | null;
  /** The piece as it would be saved; null: as it is. */
  readonly piece: Piece | null;
};

type Swap = { readonly primer: Family; readonly colour: Family; readonly clear: Family; readonly hand: Hand | null };

const SWAPS: readonly { readonly id: string; readonly label: string; readonly text: string; readonly swap: Swap }[] = [
  {
    id: 'lacquer',
    label: 'Lacquer',
    text: 'minutes between coats, polishes up, soft against solvents',
    swap: { primer: 'lacquer-primer', colour: 'acrylic-lacquer', clear: 'acrylic-lacquer', hand: null },
  },
  {
    id: 'enamel',
    label: 'Enamel',
    text: 'flows out by itself, takes knocks, slow and with a window',
    swap: { primer: 'lacquer-primer', colour: 'acrylic-enamel', clear: 'acrylic-enamel', hand: null },
  },
  {
    id: 'water',
    label: 'Waterborne, airbrushed',
    text: 'hardly any smell, thin films, needs a clear against wear',
    swap: { primer: 'water-acrylic', colour: 'water-acrylic', clear: 'waterborne-sealer', hand: 'airbrush' },
  },
  {
    id: 'twopack',
    label: 'Two-pack, by a professional',
    text: 'hardest of all; isocyanates are for a licensed sprayer with supplied air, whose price comes on top',
    swap: { primer: 'epoxy-primer', colour: 'urethane-2k', clear: 'urethane-2k', hand: 'gun' },
  },
];

/** How a colour coat bears handling, by family; roughly, as they are usually ranked. */
const WEARS: Partial<Record<Family, string>> = {
  'urethane-2k': 'hardest',
  'epoxy-primer': 'hardest',
  'alkyd-enamel': 'hard once cured',
  'acrylic-enamel': 'hard once cured',
  'rust-barrier': 'hard once cured',
  'acrylic-lacquer': 'fair, chips',
  'nitro-lacquer': 'fair, chips',
  'water-acrylic': 'soft without a clear',
  'alcohol-acrylic': 'soft without a clear',
  'waterborne-base': 'soft without a clear',
};

/**
 * Everything a piece, or one part of it, could be painted in; the first is as it is. @param begun ids of layers that have a coat on
 */
export function systemsToCompare(piece: Piece, facts: Facts, begun: ReadonlySet<string>, partId?: string): SystemToCompare[] {
  const parts = piece.parts.filter(({ id }) => partId === undefined || id === partId);
  const changed = (change: (layer: Layer, part: Part) => Layer) =>
    new Map(parts.map((part) => [part.id, part.layers.map((layer) => (begun.has(layer.id) ? layer : change(layer, part)))] as const));
  return [
    { id: 'as-is', label: 'As it is planned', text: 'the layers chosen now', layers: changed((layer) => layer) },
    ...SWAPS.map(({ swap, ...own }) => ({ ...own, layers: changed((layer) => swapped(layer, swap, facts)) })),
    {
      id: 'shelf',
      label: 'From the shelf',
      text: 'the nearest colour of the same kind that stands here',
      layers: changed((layer) => fromShelf(layer, facts)),
    },
    ...facts.systems.map((system) => ({
      id: `own ${system.id}`,
      label: system.name,
      text: 'your own stack, on every part that is bare of coats',
      layers: ownStack(parts, system, begun),
    })),
  ];
}

function swapped(layer: Layer, { primer, colour, clear, hand }: Swap, facts: Facts): Layer {
  const now = resolveLayer(layer, facts);
  const family = now.role.endsWith('primer') ? primer : now.role === 'clear' ? clear : colour;
  // A dye, a candy or a texture is what it is for what it does; no other family does it.
  if (KEPT.includes(now.family) || now.family === family) return layer;
  const { productId: _was, wanted: _wanted, hand: _hand, warm: _warm, ...rest } = layer;
  const wanted = {
    family,
    role: roleIn(family, now.role),
    // Two greys are two paints: a colour keeps the name of the one it is to be like.
    name: layer.wanted?.name ?? (now.role === 'clear' ? 'clear' : `like ${now.name}`.slice(0, 80)),
    lab: now.lab,
    ...(layer.wanted?.gloss === undefined ? {} : { gloss: layer.wanted.gloss }),
    ...(layer.wanted?.flake === undefined ? {} : { flake: layer.wanted.flake }),
  };
  return { ...rest, wanted, ...(hand ? { hand } : {}) };
}

const KEPT: readonly Family[] = ['dye', 'candy', 'texture', 'high-temperature', 'etch-primer', 'rust-barrier', 'wood-sealer'];

function roleIn(family: Family, role: Role): Role {
  if (!role.endsWith('primer')) return role;
  return family === 'lacquer-primer' ? (role === 'primer' ? 'fine-primer' : role) : 'primer';
}

/** Nobody would call it another colour, ΔE2000. */
const NEAR = 6;

function fromShelf(layer: Layer, facts: Facts): Layer {
  const now = resolveLayer(layer, facts);
  const left = leftOnShelf(facts);
  const kindOf = (role: Role) => (role.endsWith('primer') ? 'primer' : role);
  const near = facts.products
    .filter(({ id, sheetId, mix }) => {
      const role = facts.sheets.find((sheet) => sheet.id === sheetId)?.role;
      return role !== undefined && kindOf(role) === kindOf(now.role) && (left.get(id) ?? 0) > 0 && !mix;
    })
    .map((product) => ({
      product,
      off: kindOf(now.role) === 'primer' || now.role === 'clear' ? 0 : colourDifference(product.lab, now.lab),
    }))
    .filter(({ off }) => off <= NEAR)
    .sort((a, b) => Number(b.product.id === layer.productId) - Number(a.product.id === layer.productId) || a.off - b.off);
  if (near.length === 0) return layer;
  const { wanted: _wanted, hand: _hand, ...rest } = layer;
  return { ...rest, productId: near[0].product.id };
}

function ownStack(parts: readonly Part[], system: System, begun: ReadonlySet<string>): Map<string, readonly Layer[]> {
  return new Map(
    parts.map((part) => {
      const stays = part.layers.length === 0 || part.layers.some(({ id }) => begun.has(id));
      const layers = system.layers.map((layer, at): Layer => ({ ...layer, id: `${part.id}-${at}`.slice(0, 64), covers: 'all' }));
      return [part.id, stays ? part.layers : layers] as const;
    }),
  );
}

export type ComparingQuestion = {
  readonly facts: Facts;
  readonly pieceId: string;
  /** Just this part in one coating or another; absent: the whole piece. */
  readonly partId?: string;
  readonly now: Minute;
  readonly conditions: Conditions;
};

/** Each system planned with the piece alone on the bench; those that change nothing beside the first are left out. */
export function compareSystems({ facts, pieceId, partId, now, conditions }: ComparingQuestion): Compared[] {
  const piece = facts.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const alone = (own: Piece): Facts => ({ ...facts, pieces: [own], agreed: [] });
  const planned = (own: Piece) => plan({ facts: alone(own), now, conditions });
  const asIs = planned(piece);
  const seen = new Set<string>();
  return systemsToCompare(piece, facts, begunIn(asIs), partId).flatMap(({ layers, ...system }) => {
    const own: Piece = { ...piece, parts: piece.parts.map((part) => ({ ...part, layers: [...(layers.get(part.id) ?? part.layers)] })) };
    const same = JSON.stringify(own.parts.map((part) => part.layers));
    if (seen.has(same)) return [];
    seen.add(same);
    const first = system.id === 'as-is';
    const made = first ? asIs : planned(own);
    return [comparedOf(system, made, now, { piece: own, partId, tops: topsOf(own, made, facts, partId), taken: !first })];
  });
}

/** What lies on top of each part. */
function topsOf(piece: Piece, { pieces: [own] }: Plan, facts: Facts, partId: string | undefined): ResolvedLayer[] {
  return piece.parts.flatMap((part) => {
    if (partId !== undefined && part.id !== partId) return [];
    const topId = own.stacks[part.id]?.layers.at(-1)?.layerId;
    const layer = part.layers.find(({ id }) => id === topId);
    return layer ? [resolveLayer(layer, facts)] : [];
  });
}

function begunIn({ pieces: [own] }: Plan): ReadonlySet<string> {
  return new Set(
    Object.values(own.stacks).flatMap(({ layers }) => layers.flatMap(({ layerId, laidCoats }) => (laidCoats > 0 ? [layerId] : []))),
  );
}

type Made = {
  readonly piece: Piece;
  readonly partId: string | undefined;
  readonly tops: readonly ResolvedLayer[];
  readonly taken: boolean;
};

function comparedOf(
  { id, label, text }: Pick<SystemToCompare, 'id' | 'label' | 'text'>,
  { pieces: [own], steps }: Plan,
  now: Minute,
  { piece, partId, tops, taken }: Made,
): Compared {
  const joints = { sits: 0, care: 0, stop: 0 };
  for (const { joint, partId: on } of own.steps.joints) if (partId === undefined || on === partId) joints[joint.verdict]++;
  const days = (at: Minute | null) => (at === null ? null : Math.max(0, (at - now) / DAY));
  return {
    id,
    label,
    text,
    money: own.money.total,
    byUse: own.money.byUse,
    about: own.money.about,
    likelyDays: days(own.likely),
    safeDays: days(own.safe),
    sessions: own.sessions,
    minutes: Math.round(own.attendedMinutes),
    wears: [...new Set(tops.map(({ family }) => WEARS[family] ?? 'fair'))].join(', '),
    shines: [...new Set(tops.map(sheenOf))].join(', '),
    hazards: [...new Set(steps.flatMap(({ hazards }) => hazards))],
    verdict: joints.stop > 0 ? 'stop' : joints.care > 0 ? 'care' : 'sits',
    joints,
    stopped: own.stopped ?? own.noDateWhy,
    piece: taken ? piece : null,
  };
}

function sheenOf({ layer, family, role, label }: ResolvedLayer): string {
  return sheenName(layer.wanted?.gloss ?? glossOf(family, role, label).gloss);
}
