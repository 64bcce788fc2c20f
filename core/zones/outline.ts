import type { Curve, Cut, CutNumbers, FeatureKind, MaskShape, Trace } from '#core/facts/index';

/** What lies as an island in its zone: each piece's size, area and outline, mm and mm². */
export type Island = {
  readonly count: number;
  readonly longMm: number;
  readonly shortMm: number;
  readonly areaMm2: number;
  readonly outlineMm: number;
  readonly curve: Curve;
  /** The smallest radius of the outline, mm, where it is round. */
  readonly radiusMm?: number;
};

const RADIUS_OF_GENTLE_MM = 50;
const GOLDEN = (3 - Math.sqrt(5)) / 2;
/** A digit as a stroke so many heights long and so wide. */
const DIGIT = { wide: 0.6, stroke: 2, thick: 0.16 };
const BADGE = { wide: 0.8, filled: 0.8, outline: 3.1 };

/** Sizes of one shape of this height across. A star has five points whose inner corners lie where its sides cross. */
export function shapeOf(shape: MaskShape, mm: number): Omit<Island, 'count'> {
  const radius = mm / 2;
  switch (shape) {
    case 'round':
      return round(mm);
    case 'star': {
      const inner = radius * GOLDEN;
      const angle = Math.PI / 5;
      const side = Math.sqrt(radius ** 2 + inner ** 2 - 2 * radius * inner * Math.cos(angle));
      return { longMm: mm, shortMm: mm, areaMm2: 5 * radius * inner * Math.sin(angle), outlineMm: 10 * side, curve: 'tight' };
    }
    case 'diamond':
      return { longMm: mm, shortMm: mm, areaMm2: mm ** 2 / 2, outlineMm: 2 * Math.SQRT2 * mm, curve: 'tight' };
    case 'number':
      return {
        longMm: mm,
        shortMm: mm * DIGIT.wide,
        areaMm2: DIGIT.stroke * DIGIT.thick * mm ** 2,
        outlineMm: 2 * DIGIT.stroke * mm,
        curve: 'tight',
      };
    case 'badge':
      return {
        longMm: mm,
        shortMm: mm * BADGE.wide,
        areaMm2: BADGE.wide * BADGE.filled * mm ** 2,
        outlineMm: BADGE.outline * mm,
        curve: 'tight',
      };
  }
}

function round(across: number): Omit<Island, 'count'> {
  const radius = across / 2;
  const curve = radius >= RADIUS_OF_GENTLE_MM ? 'gentle' : 'tight';
  return { longMm: across, shortMm: across, areaMm2: Math.PI * radius ** 2, outlineMm: Math.PI * across, curve, radiusMm: radius };
}

const ROUND_FEATURES: readonly FeatureKind[] = ['hubs', 'lamps', 'holes', 'hole-rims', 'pivots', 'tapped-posts'];

function rectangle(a: number, b: number, curve: Curve = 'straight'): Omit<Island, 'count'> {
  return { longMm: Math.max(a, b), shortMm: Math.min(a, b), areaMm2: a * b, outlineMm: 2 * (a + b), curve };
}

/** A feature by its size: round ones by their width across, arches as half rounds, the rest as rectangles. */
function featureOf({ feature, longMm = 0, shortMm = longMm }: CutNumbers): Omit<Island, 'count'> {
  if (feature && ROUND_FEATURES.includes(feature)) return round(longMm);
  if (feature === 'arches') {
    const half = round(longMm);
    return { ...half, shortMm: longMm / 2, areaMm2: half.areaMm2 / 2, outlineMm: half.outlineMm / 2, curve: 'tight' };
  }
  return rectangle(longMm, shortMm);
}

/** Corners up to which a traced outline is taken for straight lines. */
const STRAIGHT_CORNERS = 6;

/** Area and outline of what was traced, by the one length known on the picture. */
export function traced({ outline, known, tall }: Trace): Omit<Island, 'count'> {
  const apart = ([ax, ay]: readonly number[], [bx, by]: readonly number[]) => Math.hypot(bx - ax, (by - ay) * tall);
  const length = apart(known.from, known.to);
  const scale = length > 0 ? known.mm / length : 0;
  const next = (index: number) => outline[(index + 1) % outline.length];
  const twice = outline.reduce((sum, [x, y], index) => sum + x * next(index)[1] * tall - next(index)[0] * y * tall, 0);
  const around = outline.reduce((sum, point, index) => sum + apart(point, next(index)), 0);
  const [xs, ys] = [outline.map(([x]) => x), outline.map(([, y]) => y * tall)];
  const [wide, high] = [xs, ys].map((values) => (Math.max(...values) - Math.min(...values)) * scale);
  return {
    longMm: Math.max(wide, high),
    shortMm: Math.min(wide, high),
    areaMm2: (Math.abs(twice) / 2) * scale ** 2,
    outlineMm: around * scale,
    curve: outline.length <= STRAIGHT_CORNERS ? 'straight' : 'gentle',
  };
}

/** What a cut lays into its zone as islands; null where it divides it from edge to edge. */
export function islandOf({ how, numbers, trace }: Cut): Island | null {
  const count = numbers.count ?? 1;
  const { longMm = 0, shortMm = longMm } = numbers;
  switch (how) {
    case 'panel':
      return { count, ...rectangle(longMm, shortMm) };
    case 'shapes':
      return { count, ...shapeOf(numbers.shape ?? 'round', longMm) };
    case 'feature':
      return { count, ...featureOf(numbers) };
    case 'trace':
      return trace ? { count, ...traced(trace) } : null;
    default:
      return null;
  }
}
