import { modeLab65, modeLrgb, modeRgb, modeXyz65, useMode as makeKnown } from 'culori/fn';

/** The colour spaces that are used here, made known to the library by name: no page fetches the others. */
for (const mode of [modeRgb, modeLrgb, modeXyz65, modeLab65]) makeKnown(mode);

export { converter, differenceCiede2000, formatHex } from 'culori/fn';
