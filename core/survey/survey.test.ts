import { describe, expect, it } from 'vitest';
import { type Face, faceSchema, newPart, newPiece, type Part, type Piece } from '#core/facts/index';
import {
  answered,
  isPassedOver,
  leftOpen,
  partBeside,
  resized,
  areaMm2,
  facesOfMesh,
  facesOfShape,
  fitOrder,
  outerSize,
  isAnswered,
  materialByDensity,
  measureMesh,
  meshInMm,
  MeshProblem,
  paintedFaces,
  partAreaCm2,
  postPlan,
  SHAPES,
  SHAPE_SIZES,
  unreachableLater,
  walkQuestions,
  withinLimit,
} from './index.ts';

const face = (more: Partial<Face> = {}): Face => ({ id: 'f', zoneId: 'all', longMm: 100, shortMm: 50, count: 1, seen: true, ...more });
const part = (id: string, more: Partial<Part> = {}): Part =>
  newPart({ id, name: id, material: 'steel', finish: 'sound', faces: [face()], ...more });
const piece = (parts: Part[], more: Partial<Piece> = {}): Piece =>
  newPiece({ id: 'p', name: 'Ferry', looksLike: 'pressed-toy', longestMm: 200, createdAt: '2026-12-01T19:00:00Z', parts, ...more });

describe('area', () => {
  it('counts hole walls and leaves the holes out', () => {
    const holes = { count: 10, acrossMm: 5, wallMm: 0.5 };
    expect(areaMm2([face({ holes })])).toBeCloseTo(5000 - 10 * Math.PI * 6.25 + 10 * Math.PI * 5 * 0.5, 6);
  });
  it('has holes sprayed from two sides, so that their walls are reached, and plain sheet from one', () => {
    const own = part('grille', { faces: [face({ holes: { count: 10, acrossMm: 5, wallMm: 0.5 } }), face({ id: 'plain' })] });
    expect(paintedFaces(own, 'all').map(({ angles }) => angles)).toEqual([2, undefined]);
  });
  it('refuses holes that together are larger than the sheet, or wider than it', () => {
    expect(faceSchema.safeParse(face({ holes: { count: 300, acrossMm: 5, wallMm: 1 } })).success).toBe(false);
    expect(faceSchema.safeParse(face({ holes: { count: 1, acrossMm: 60, wallMm: 1 } })).success).toBe(false);
    expect(faceSchema.safeParse(face({ holes: { count: 100, acrossMm: 5, wallMm: 1 } })).success).toBe(true);
  });
  const exact: Record<string, [number[], number]> = {
    box: [[30, 20, 10], 2 * (600 + 300 + 200)],
    cylinder: [[10, 40], Math.PI * 400 + (Math.PI * 100) / 2],
    cone: [[10, 20], Math.PI * 100 + Math.PI * 25],
    sphere: [[10], Math.PI * 100],
    tube: [[10, 8, 30], Math.PI * 300 + Math.PI * 240 + 2 * Math.PI * (25 - 16)],
    sheet: [[90, 40], 7200],
    wire: [[5000, 2], Math.PI * 2 * 5000],
    body: [[75], 5 * 75 * 30],
  };
  it.each(SHAPES)('of a %s is exact', (shape) => {
    const [sizes, area] = exact[shape];
    expect(areaMm2(facesOfShape(shape, sizes))).toBeCloseTo(area, 3);
    expect(() => facesOfShape(shape, [])).toThrow(SHAPE_SIZES[shape][0]);
  });
  it('hides the bore of a long tube, and not that of a ring', () => {
    expect(facesOfShape('tube', [28, 25, 620]).map(({ hidden }) => hidden === true)).toEqual([false, true, false]);
    expect(facesOfShape('tube', [90, 80, 30]).some(({ hidden }) => hidden)).toBe(false);
  });
  it('refuses a tube wider inside than out', () => expect(() => facesOfShape('tube', [8, 10, 5])).toThrow('smaller'));
});

describe('a material by its weight in water', () => {
  it('is told by density', () => {
    expect(materialByDensity(270, 100).materials).toEqual(['aluminium']);
    expect(materialByDensity(670, 100).materials[0]).toBe('zinc');
    expect(materialByDensity(105, 100).materials).toEqual([]);
    expect(materialByDensity(105, 100).because).toContain('plastic');
    expect(() => materialByDensity(100, 0)).toThrow(RangeError);
  });
});

describe('a riveted post', () => {
  it('takes M2 where 0.8 mm of wall stay, and is drilled to 1 mm above its foot', () => {
    expect(postPlan({ acrossMm: 4.2, deepMm: 7 })).toMatchObject({ thread: 'M2', depthMm: 6 });
    expect(postPlan({ acrossMm: 4.2, deepMm: 7 }).wallMm).toBeCloseTo(1.1, 6);
    expect(postPlan({ acrossMm: 4.2, deepMm: 7 }).steps.join(' ')).toContain('1.6 mm');
  });
  it('takes the smaller thread where the wall is thin, and none where it would be too thin for all', () => {
    expect(postPlan({ acrossMm: 3.4, deepMm: 7 }).thread).toBe('M1.6');
    expect(postPlan({ acrossMm: 3.5, deepMm: 7 }).thread).toBe('1-72');
    expect(postPlan({ acrossMm: 3.1, deepMm: 7 })).toMatchObject({ thread: null, steps: [] });
    expect(postPlan({ acrossMm: 5, deepMm: 1 }).because).toContain('1 mm at its foot');
    expect(postPlan({ acrossMm: 4.2, deepMm: 7, thread: 'M2.5' }).thread).toBe('M2.5');
  });
});

describe('reassembly', () => {
  const three = (fitted?: string[]) =>
    piece([part('shell'), part('seat'), part('lid')], {
      fastenings: [{ id: 's', kind: 'screw', a: 'seat', b: 'shell', count: 2, note: '', behind: 'lid' }],
      ...(fitted ? { fitOrder: fitted } : {}),
    });
  it('begins with the body and shuts nothing in, unless changed', () => {
    expect(fitOrder(three()).map((own) => own.id)).toEqual(['shell', 'seat', 'lid']);
    expect(unreachableLater(three())).toEqual([]);
    expect(fitOrder(three(['shell', 'seat', 'lid'])).map((own) => own.id)).toEqual(['shell', 'seat', 'lid']);
  });
  it('says what could not be reached any more', () => {
    expect(unreachableLater(three(['lid', 'seat', 'shell']))[0]?.text).toContain('fit lid after it');
    expect(unreachableLater(three(['shell', 'seat', 'lid']))).toEqual([]);
  });
});

describe('a cover over what is fastened below it', () => {
  const joined = (fastenings: Piece['fastenings'], fitted?: string[]) =>
    piece([part('shell'), part('seat'), part('lid')], { fastenings, ...(fitted ? { fitOrder: fitted } : {}) });
  const screw = (more: object) => ({ id: 's', kind: 'screw' as const, a: 'seat', b: 'shell', count: 2, note: '', ...more });
  const fitted = ['lid', 'seat', 'shell'];
  it.each<[string, object]>([
    ['nothing covers', {}],
    ['the part itself covers', { behind: 'seat' }],
    ['the other part covers', { behind: 'shell' }],
    ['a part that is gone covers', { behind: 'roof' }],
  ])('shuts nothing in where %s', (_name, more) => {
    expect(unreachableLater(joined([screw(more)], fitted))).toEqual([]);
  });
  it('shuts in what it is fitted before, also what is fastened to the frame alone', () => {
    expect(unreachableLater(joined([screw({ behind: 'lid' })], fitted))).toHaveLength(1);
    const { b: _frame, ...alone } = screw({ behind: 'lid' });
    expect(unreachableLater(joined([alone], ['lid', 'seat', 'shell']))[0]?.text).toContain('the frame');
    expect(unreachableLater(joined([alone], ['seat', 'lid', 'shell']))).toEqual([]);
  });
  it('waits by itself for both parts it covers, whatever their order in the survey', () => {
    const own = piece([part('lid', { faces: [face({ longMm: 300 })] }), part('seat'), part('shell')], {
      fastenings: [{ id: 's', kind: 'screw', a: 'seat', b: 'shell', count: 2, note: '', behind: 'lid' }],
    });
    const order = fitOrder(own).map(({ id }) => id);
    expect(order.indexOf('lid')).toBe(2);
    expect(unreachableLater(own)).toEqual([]);
  });
});

describe('the outer size of a part', () => {
  it.each<[string, Partial<Part>, readonly number[]]>([
    [
      'a sheet with front and back',
      { faces: [face({ longMm: 1300, shortMm: 1200 }), face({ id: 'b', longMm: 1300, shortMm: 1200, seen: false })] },
      [1300, 1200, 10],
    ],
    ['a sheet measured once, two faces', { faces: [face({ longMm: 300, shortMm: 200, count: 2 })] }, [300, 200, 10]],
    ['one face alone', { faces: [face({ longMm: 300, shortMm: 200, count: 1 })] }, [300, 200, 10]],
    ['a box of five alike faces', { faces: [face({ longMm: 300, shortMm: 120, count: 5 })] }, [300, 120, 120]],
    [
      'a bracket of two unlike faces',
      { faces: [face({ longMm: 300, shortMm: 120, count: 1 }), face({ id: 'b', longMm: 300, shortMm: 60, count: 1 })] },
      [300, 120, 60],
    ],
  ])('%s', (_name, more, size) => {
    expect(outerSize(part('own', more))).toEqual(size);
  });
});

describe('the limit', () => {
  it('leaves hidden faces and wholly hidden parts as they are, and says so', () => {
    const hidden = face({ id: 'h', seen: false });
    const { piece: limited, beyond } = withinLimit(
      piece([part('shell', { faces: [face(), hidden] }), part('floor', { faces: [hidden] })], { limit: 'outside' }),
    );
    expect(limited.parts.map((own) => [own.id, partAreaCm2(own)])).toEqual([['shell', 50]]);
    expect(beyond).toEqual(['shell: 50 cm² hidden', 'floor: nothing of it is seen']);
    expect(withinLimit(piece([part('shell', { faces: [hidden] })])).beyond).toEqual([]);
  });
});

describe('the walk', () => {
  const one = piece([part('shell'), part('axle', { zones: [{ id: 'all', name: 'a', bare: 'bearing' }] })], { guesses: ['material:shell'] });
  const open = (own: Piece) => walkQuestions(own, () => true).filter((question) => !isAnswered(own, question));
  it('asks what stops the work first, and nothing of parts that stay bare', () => {
    expect(open(one)[0].key).toBe('stops');
    expect(open(one).some((question) => question.key.endsWith(':axle'))).toBe(false);
    expect(open(one).map((question) => question.key)).toContain('material:shell');
  });
  it('never asks twice', () => {
    const after = answered(one, 'material:shell');
    expect(after.guesses).toEqual([]);
    expect(open(after).map((question) => question.key)).not.toContain('material:shell');
  });
  it.each(['lead', 'material:shell', 'stops'])('keeps %s open when it is passed over or not known, and its guess with it', (key) => {
    const guessed = { ...one, guesses: ['lead', 'material:shell'] };
    const passed = leftOpen(guessed, key);
    expect(passed.guesses).toEqual(guessed.guesses);
    expect(isPassedOver(passed, key)).toBe(true);
    expect(open(passed).map((question) => question.key)).toContain(key);
    const known = answered(passed, key);
    expect(isPassedOver(known, key)).toBe(false);
    expect(open(known).map((question) => question.key)).not.toContain(key);
    expect(open(leftOpen(known, key)).map((question) => question.key)).toContain(key);
  });
  it('asks what the old paint is wherever there is some that may go or stay', () => {
    const keys = (more: Partial<Part>) => open(piece([part('shell', { finish: 'sound', ...more })])).map((question) => question.key);
    expect(keys({})).toContain('old-paint:shell');
    expect(keys({ oldPaint: 'household' })).not.toContain('old-paint:shell');
    expect(keys({ finish: 'bare' })).not.toContain('old-paint:shell');
    expect(keys({ printed: true })).not.toContain('old-paint:shell');
    const guessed = (more: Partial<Part>) => open(piece([part('shell', more)], { guesses: ['lead'] })).map(({ key }) => key);
    expect(guessed({ finish: 'sound' })).toEqual(expect.arrayContaining(['lead', 'repaint']));
    for (const key of ['lead', 'repaint']) expect(guessed({ finish: 'bare' })).not.toContain(key);
  });
});

describe('a part added by hand', () => {
  let ids = 0;
  const newId = () => `new-${++ids}`;
  const layer = {
    id: 'l',
    wanted: { family: 'acrylic-lacquer', role: 'colour', name: 'red', lab: { l: 40, a: 50, b: 30 } },
    coats: 2,
    covers: 'all',
  } as const;
  it('takes the system of the largest painted part and a size from the piece, all of it guessed', () => {
    const small = part('lamp', { faces: [face({ longMm: 8, shortMm: 4 })] });
    const { part: fresh, guesses } = partBeside(piece([small, part('shell', { layers: [layer] })], { longestMm: 200 }), newId);
    expect(fresh.layers.map((own) => [own.wanted?.name, own.coats, own.covers])).toEqual([['red', 2, 'all']]);
    expect(fresh.layers[0].id).not.toBe('l');
    expect(fresh.faces[0].longMm).toBe(60);
    expect(guesses.map((guess) => guess.split(':')[0])).toEqual(['material', 'finish', 'size', 'coats']);
  });
  it('has no coats where nothing is painted', () => {
    expect(partBeside(piece([part('shell', { layers: [] })]), newId).part.layers).toEqual([]);
    expect(partBeside(piece([part('pane', { layers: [layer], staysClear: true })]), newId).part.layers).toEqual([]);
  });
});

describe('a part sized anew', () => {
  let ids = 0;
  const newId = () => `sized-${++ids}`;
  const zoned = part('shell', {
    zones: [
      { id: 'up', name: 'Upper' },
      { id: 'low', name: 'Lower' },
    ],
    faces: [
      face({ id: 'a', zoneId: 'up', longMm: 100, shortMm: 30, count: 1 }),
      face({ id: 'b', zoneId: 'low', longMm: 100, shortMm: 10, count: 1, seen: false }),
    ],
    edges: [{ a: 'up', b: 'low', mm: 200, curve: 'straight' }],
  });
  it('keeps its zones and the share each had', () => {
    const { faces, edges } = resized(zoned, [{ longMm: 200, shortMm: 80, count: 2 }], newId);
    const area = (zoneId: string) => partAreaCm2({ ...zoned, faces: faces.filter((own) => own.zoneId === zoneId) });
    expect(area('up') / area('low')).toBeCloseTo(3, 6);
    expect(area('up') + area('low')).toBeCloseTo(320, 6);
    expect(faces.map((own) => [own.zoneId, own.seen])).toEqual([
      ['up', true],
      ['low', false],
    ]);
    expect(edges[0].mm).toBe(400);
  });
});

/** Corners of triangles as a binary STL. */
function stl(triangles: readonly (readonly number[])[]): Uint8Array {
  const bytes = new Uint8Array(84 + triangles.length * 50);
  const view = new DataView(bytes.buffer);
  view.setUint32(80, triangles.length, true);
  triangles.forEach((corners, index) => {
    corners.forEach((value, i) => {
      view.setFloat32(84 + index * 50 + 12 + i * 4, value, true);
    });
  });
  return bytes;
}

/** A surface over a grid of u and v, closed round u. */
function mesh(steps: number, at: (u: number, v: number) => [number, number, number]): number[][] {
  const triangles: number[][] = [];
  for (let i = 0; i < steps; i++)
    for (let k = 0; k < steps; k++) {
      const corner = (u: number, v: number) => at((u % steps) / steps, v / steps);
      const [a, b, c, d] = [corner(i, k), corner(i + 1, k), corner(i + 1, k + 1), corner(i, k + 1)];
      triangles.push([...a, ...b, ...c], [...a, ...c, ...d]);
    }
  return triangles;
}
const TURN = Math.PI * 2;
const sphere = (radius: number) =>
  mesh(80, (u, v) => [
    radius * Math.cos(TURN * u) * Math.sin(Math.PI * v),
    radius * Math.sin(TURN * u) * Math.sin(Math.PI * v),
    radius * Math.cos(Math.PI * v),
  ]);
const tube = (radius: number, height: number) => mesh(80, (u, v) => [radius * Math.cos(TURN * u), radius * Math.sin(TURN * u), height * v]);
const square = (corner: number[], one: number[], two: number[]): number[][] => {
  const sum = (...vectors: number[][]) => [0, 1, 2].map((i) => vectors.reduce((total, vector) => total + vector[i], 0));
  return [
    [...corner, ...sum(corner, one), ...sum(corner, one, two)],
    [...corner, ...sum(corner, one, two), ...sum(corner, two)],
  ];
};
const box = (x: number, y: number, z: number): number[][] => [
  ...square([0, 0, 0], [x, 0, 0], [0, y, 0]),
  ...square([0, 0, z], [x, 0, 0], [0, y, 0]),
  ...square([0, 0, 0], [x, 0, 0], [0, 0, z]),
  ...square([0, y, 0], [x, 0, 0], [0, 0, z]),
  ...square([0, 0, 0], [0, y, 0], [0, 0, z]),
  ...square([x, 0, 0], [0, y, 0], [0, 0, z]),
];

describe('a mesh', () => {
  const within = (got: number, exact: number) => expect(Math.abs(got / exact - 1)).toBeLessThan(0.01);
  it('is measured within 1 % of sphere, cylinder and box', () => {
    within(measureMesh('a.stl', stl(sphere(20))).area, 4 * Math.PI * 400);
    within(measureMesh('a.stl', stl(tube(10, 50))).area, TURN * 10 * 50);
    const measured = measureMesh('a.stl', stl(box(30, 20, 10)));
    expect(measured).toMatchObject({ triangles: 12, openEdges: 0, extents: [30, 20, 10] });
    expect(measured.area).toBeCloseTo(2200, 3);
  });
  it('says how many edges are open', () => {
    expect(measureMesh('a.stl', stl(box(30, 20, 10).slice(1))).openEdges).toBe(3);
    expect(measureMesh('a.stl', stl(tube(10, 50))).openEdges).toBe(160);
  });
  it('reads text STL and OBJ with polygons and indices from the end', () => {
    const text = `solid a\nfacet normal 0 0 1\nouter loop\nvertex 0 0 0\nvertex 4 0 0\nvertex 0 3 0\nendloop\nendfacet\nendsolid`;
    expect(measureMesh('a.stl', new TextEncoder().encode(text)).area).toBeCloseTo(6, 6);
    const obj = 'v 0 0 0\nv 4 0 0\nv 4 3 0\nv 0 3 0\nf 1/1 2/2 3/3 4/4\nf -4 -3 -2\n';
    expect(measureMesh('a.obj', new TextEncoder().encode(obj)).area).toBeCloseTo(18, 6);
  });
  it('says what is wrong with a file', () => {
    const cut = stl(box(3, 2, 1)).subarray(0, 300);
    expect(() => measureMesh('a.stl', cut)).toThrow(/cut short/);
    expect(() => measureMesh('a.stl', new Uint8Array(10))).toThrow(MeshProblem);
    expect(() => measureMesh('a.obj', new TextEncoder().encode('v 0 0 0\nf 1 2 3'))).toThrow(/not in the file/);
    expect(() => measureMesh('a.stl', stl([[0, 0, 0, Number.NaN, 0, 0, 1, 1, 1]]))).toThrow(/no number/);
    expect(() => measureMesh('a.stl', stl([[0, 0, 0, 1, 0, 0, 2, 0, 0]]))).toThrow(/no area/);
  });
  it('becomes faces of exactly its area, in the unit asked for', () => {
    const { areaMm2: area, extentsMm } = meshInMm(measureMesh('a.stl', stl(box(3, 2, 1))), 'in');
    expect(extentsMm[0]).toBeCloseTo(76.2, 6);
    const made = facesOfMesh(area, extentsMm, 2);
    expect(made.longMm * made.shortMm * made.count).toBeCloseTo(2 * 22 * 25.4 ** 2, 3);
  });
  it('tells how far it is', () => {
    const shares: number[] = [];
    measureMesh('a.stl', stl(sphere(20)), (share) => shares.push(share));
    expect(shares.at(-1)).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
  });
});
