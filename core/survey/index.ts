export { areaMm2, bodyOfLength, paintedFaces, partAreaCm2, wireCage } from './area.ts';
export { type PartDraft, TEMPLATES } from './templates.ts';
