export { areaMm2, bodyOfLength, paintedFaces, partAreaCm2, scaledFaces, wireCage } from './area.ts';
export { type PartDraft, TEMPLATES } from './templates.ts';
