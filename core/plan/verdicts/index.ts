export { type ByTool, byTools } from './byTools.ts';
export type { JointOfPart } from './jointOfPart.ts';
export { aged, inService, thisMinute } from './judging.ts';
export { layersMended } from './mendedLayers.ts';
export { type LayerView, type StackView, stackView } from './stackView.ts';
export { dwellFactor, keptUnder, progressOf, stripChoice, type StripChoice, stripScope } from './stripChoice.ts';
export { setNotes } from './sets.ts';
export { undecidedZones, withOutcomes } from './outcomes.ts';
export { placeInTheSun, type Warming, warmRefused, warmestRoom, warmthBorne } from './warmth.ts';
