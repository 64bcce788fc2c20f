import { familyDrying } from '#core/drying/index';
import { type Family, plain, type Role } from '#core/facts/index';

/** Which films may be flatted between coats (trade §4, §6): no metallic, transparent, texture or dye, and etch only with a pad. */

export type FlatQuestion = { readonly family: Family; readonly role: Role; readonly transparent: boolean };

/** Why a film is never flatted before its next coat, or null where it may be. */
export function flatRefused({ family, role, transparent }: FlatQuestion): string | null {
  if (role === 'metallic') return 'A metallic is never flatted within its set: every scratch turns its flakes.';
  if (transparent || family === 'candy') return 'A transparent colour is never flatted: the scratch shows in its depth.';
  if (family === 'texture') return 'A texture coat is never flatted: its texture would be gone.';
  if (family === 'dye') return 'Dye has sunk in: there is no film to flat.';
  if (family === 'etch-primer') return 'Etch primer is only padded, lightly: flatted, it is gone.';
  return familyDrying(family).flat === null ? `${plain(family)} is never flatted.` : null;
}
