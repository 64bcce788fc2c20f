export { areaMm2, faceAreaMm2, isPerforated, type PaintedFace, paintedFaces, partAreaCm2, scaledFaces } from './area.ts';
export { type Limited, withinLimit } from './limit.ts';
export { type DensityAnswer, materialByDensity } from './density.ts';
export { facesOfMesh, measureMesh, meshInMm, type MeshMeasure, MeshProblem, type MeshUnit, type Progress } from './mesh.ts';
export { LEAST_WALL_MM, POST_THREADS, type PostPlan, postPlan, wallLeft } from './posts.ts';
export { fitOrder, type Unreachable, unreachableLater } from './reassembly.ts';
export { bodyOfLength, facesOfShape, type Shape, SHAPE_SIZES, SHAPES, type ShapeFace, wireCage } from './shapes.ts';
export { type PartDraft, TEMPLATES } from './templates.ts';
export { answered, isAnswered, MATERIAL_GROUPS, type WalkQuestion, walkQuestions } from './walk.ts';
