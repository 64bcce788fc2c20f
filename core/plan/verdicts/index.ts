export type { JointOfPart } from './jointOfPart.ts';
export { aged, inService, thisMinute } from './judging.ts';
export { layersMended } from './mendedLayers.ts';
export { type LayerView, type StackView, stackView } from './stackView.ts';
export { dwellFactor, KEPT_PAINT, progressOf, stripChoice, type StripChoice } from './stripChoice.ts';
export { setNotes } from './sets.ts';
