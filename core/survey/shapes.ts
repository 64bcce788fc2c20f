/** Area helpers: simple bodies as faces that paint meets, sizes in mm (trade §7). */

export type ShapeFace = {
  readonly longMm: number;
  readonly shortMm: number;
  readonly count: number;
  /** Nobody sees it whatever the part is, such as the bore of a long tube. */
  readonly hidden?: boolean;
};

export const SHAPES = ['body', 'box', 'cylinder', 'cone', 'sphere', 'tube', 'sheet', 'wire'] as const;
export type Shape = (typeof SHAPES)[number];

/** What each shape is measured by, in words for its fields. */
export const SHAPE_SIZES: Record<Shape, readonly string[]> = {
  body: ['length'],
  box: ['length', 'width', 'height'],
  cylinder: ['diameter', 'length'],
  cone: ['diameter', 'slant length'],
  sphere: ['diameter'],
  tube: ['outer diameter', 'inner diameter', 'length'],
  sheet: ['length', 'width'],
  wire: ['length of wire', 'diameter'],
};

/** A body of this length as five faces L × 0.4 L (trade §7). */
export function bodyOfLength(longestMm: number): ShapeFace {
  return { longMm: longestMm, shortMm: longestMm * 0.4, count: 5 };
}

/** A wire cage's surface as long strips: wire length × π × diameter. */
export function wireCage(wireMm: number, diameterMm: number): ShapeFace {
  const count = Math.max(1, Math.ceil(wireMm / 2000));
  return { longMm: wireMm / count, shortMm: Math.PI * diameterMm, count };
}

const face = (a: number, b: number, count = 1): ShapeFace => ({ longMm: Math.max(a, b), shortMm: Math.min(a, b), count });
/** A disc as a square of the same area. */
const disc = (across: number, count = 1): ShapeFace => {
  const side = (across * Math.sqrt(Math.PI)) / 2;
  return face(side, side, count);
};

/** A bore longer than twice its width is looked into by nobody, and no fan reaches its middle. */
function bore(diameter: number, length: number): ShapeFace {
  const own = face(Math.PI * diameter, length);
  return length > 2 * diameter ? { ...own, hidden: true } : own;
}

/**
 * Faces of a shape from its sizes, in the order of SHAPE_SIZES, mm. Curved faces are unrolled, discs squared, so that
 * the area is exact. A sheet has two faces.
 * @throws RangeError when a size is missing or not above 0, or a tube's bore is not smaller than the tube
 */
export function facesOfShape(shape: Shape, sizes: readonly number[]): ShapeFace[] {
  const names = SHAPE_SIZES[shape];
  for (const [index, name] of names.entries()) {
    if (!(sizes[index] > 0)) throw new RangeError(`Type the ${name}: more than 0 mm.`);
  }
  const [a, b, c] = sizes;
  switch (shape) {
    case 'body':
      return [bodyOfLength(a)];
    case 'box':
      return [face(a, b, 2), face(a, c, 2), face(b, c, 2)];
    case 'cylinder':
      return [face(Math.PI * a, b), disc(a, 2)];
    case 'cone':
      return [face((Math.PI * a) / 2, b), disc(a)];
    case 'sphere':
      return [face(Math.PI * a, a)];
    case 'tube': {
      if (b >= a) throw new RangeError('The inner diameter is smaller than the outer one. Measure both again.');
      return [face(Math.PI * a, c), bore(b, c), disc(Math.sqrt(a ** 2 - b ** 2), 2)];
    }
    case 'sheet':
      return [face(a, b, 2)];
    case 'wire':
      return [wireCage(a, b)];
  }
}
