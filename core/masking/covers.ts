import { type Cover, type Feature, type FeatureKind, FEATURES_COVERED, type Part, type Piece } from '#core/facts/index';
import { counted } from '#core/units/index';

/** Openings, works and neighbours that must not take the coat: what covers each, and for how long one sits at it (trade §9). */

export type CoverLine = {
  /** The feature it is for; absent: it follows from how the piece is held together. */
  readonly featureId?: string;
  readonly text: string;
  readonly cover: Cover;
  /** On and off, for all of them. */
  readonly minutes: number;
  readonly source: 'own' | 'default';
};

type Usual = { readonly cover: Cover; readonly minutes: number; readonly one: string; readonly many?: string; readonly how: string };

const USUAL: Record<(typeof FEATURES_COVERED)[number], Usual> = {
  windows: { cover: 'tape', minutes: 0.75, one: 'window opening', how: 'taped from inside' },
  arches: { cover: 'tape', minutes: 0.75, one: 'wheel arch', many: 'wheel arches', how: 'covered' },
  grille: { cover: 'liquid-mask', minutes: 4, one: 'grille', how: 'under liquid mask, peeled off after' },
  lamps: { cover: 'tape', minutes: 1, one: 'lamp', how: 'taped' },
  hubs: { cover: 'plug', minutes: 0.5, one: 'hub', how: 'plugged' },
  holes: { cover: 'plug', minutes: 0.3, one: 'hole', how: 'plugged' },
  pivots: { cover: 'plug', minutes: 0.5, one: 'pivot', how: 'sleeved or plugged: a film there binds' },
  'tapped-posts': { cover: 'plug', minutes: 0.5, one: 'tapped post', how: 'a rod or an old screw in each' },
  seals: { cover: 'tape', minutes: 2, one: 'seal', how: 'taped along' },
  works: { cover: 'wrap', minutes: 3, one: 'mechanism', how: 'wrapped' },
  neighbour: { cover: 'wrap', minutes: 2, one: 'neighbouring piece', how: 'covered' },
  clip: { cover: 'wrap', minutes: 1, one: 'holding clip', how: 'wrapped: it comes off clean' },
};
/** Keyed by hand as well, and plugged while a coat goes on. */
const ALSO_PLUGGED: Partial<Record<FeatureKind, Usual>> = {
  hinge: { cover: 'plug', minutes: 0.5, one: 'hinge', how: 'plugged or sleeved: a film there binds' },
};

const HOW: Record<Cover, string> = {
  tape: 'taped',
  plug: 'plugged',
  wrap: 'wrapped',
  'liquid-mask': 'under liquid mask',
  none: 'left open',
};

export function usualCover(kind: FeatureKind): Usual | undefined {
  return isCovered(kind) ? USUAL[kind] : ALSO_PLUGGED[kind];
}

function isCovered(kind: FeatureKind): kind is keyof typeof USUAL {
  return FEATURES_COVERED.some((own) => own === kind);
}

/** What is covered on one copy of a part before paint, from its features and its tapped posts; none twice. */
export function coversOf(part: Part, piece: Pick<Piece, 'fastenings'>): CoverLine[] {
  const named = (part.features ?? []).flatMap((feature) => lineOf(feature));
  const clipped = part.hold?.by === 'clip' && !(part.features ?? []).some(({ kind }) => kind === 'clip');
  const posts = (part.features ?? []).some(({ kind }) => kind === 'tapped-posts') ? 0 : postsOn(part, piece);
  return [...named, ...(posts === 0 ? [] : [usualLine('tapped-posts', posts)]), ...(clipped ? [usualLine('clip', 1)] : [])];
}

/** A cover that nobody named: it follows from how the part is joined and held. */
function usualLine(kind: keyof typeof USUAL, count: number): CoverLine {
  const { one, many, how, cover, minutes } = USUAL[kind];
  return { text: `${counted(count, one, many)}, ${how}`, cover, minutes: count * minutes, source: 'default' };
}

function lineOf(feature: Feature): CoverLine[] {
  const usual = usualCover(feature.kind);
  if (!usual) return [];
  const cover = feature.cover ?? usual.cover;
  if (cover === 'none') return [];
  const how = cover === usual.cover ? usual.how : HOW[cover];
  return [
    {
      featureId: feature.id,
      text: `${counted(feature.count, usual.one, usual.many)}, ${how}`,
      cover,
      minutes: feature.count * (feature.coverMinutes ?? usual.minutes),
      source: feature.coverMinutes === undefined ? 'default' : 'own',
    },
  ];
}

function postsOn(part: Part, { fastenings = [] }: Pick<Piece, 'fastenings'>): number {
  return fastenings
    .filter((fastening) => fastening.kind === 'tapped-post' && (fastening.a === part.id || fastening.b === part.id))
    .reduce((sum, fastening) => sum + fastening.count, 0);
}
