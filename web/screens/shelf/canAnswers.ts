import { typicalPack } from '#core/buying/index';
import { namedColour } from '#core/colour/index';
import { type Can, handSchema, type Product, type Sheet, type Workshop } from '#core/facts/index';
import { type Parsed, parseMoney, parseQuantity } from '#core/units/index';
import { z } from 'zod';
import { CAN_KINDS, THINNERS } from '../../views/paintKinds.ts';

const CLEAR_HEX = '#f4f4f0';

/** A can as it was typed, read; every refusal names its field. */
export function canAnswersSchema({ units, currency }: Workshop, sheets: readonly Sheet[]) {
  return z
    .object({
      /** The sheet of another can it is the same as; empty: by what is on it. */
      sameAs: z.string(),
      kind: z.string(),
      hand: handSchema,
      thinner: z.string(),
      swatch: z.array(z.string()),
      volume: z.string(),
      left: z.string(),
      paid: z.string(),
      name: z.string().trim().max(80, 'A name may have 80 characters. Shorten it.'),
    })
    .transform((typed, context) => {
      const same = sheets.find(({ id }) => id === typed.sameAs);
      const kind = CAN_KINDS.find(({ value }) => value === typed.kind) ?? CAN_KINDS[0];
      const thinner = THINNERS.find(({ value }) => value === typed.thinner);
      const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
      const isClear = same ? same.role === 'clear' : kind.clear === true;
      if (!same && !kind.family && !thinner) refuse('thinner', 'Say what it is thinned or cleaned with: that tells its family.');
      if (typed.swatch.length === 0 && !isClear) refuse('swatch', 'Choose the swatch nearest to its colour.');
      const pack = volumeIn(typed.volume, units.volume);
      if (!pack.ok) refuse('volume', pack.mend);
      const left = typed.left.trim() ? parseQuantity(typed.left, 'volume', units.volume) : pack;
      if (!left.ok && typed.left.trim()) refuse('left', left.mend);
      else if (left.ok && pack.ok && (left.value < 0 || left.value > pack.value))
        refuse('left', 'What is left is between nothing and the whole can.');
      const paid = typed.paid.trim() ? parseMoney(typed.paid, currency) : null;
      if (paid && !paid.ok) refuse('paid', paid.mend);
      if (!pack.ok || !left.ok || (paid && !paid.ok) || context.issues.length > 0) return z.NEVER;
      return {
        same,
        kind,
        hand: typed.hand,
        family: kind.family ?? thinner?.family(kind) ?? 'unknown',
        packMl: pack.value,
        hex: typed.swatch[0] ?? CLEAR_HEX,
        leftMl: left.value,
        paid: paid?.value ?? null,
        name: typed.name,
      };
    });
}
/** What a can holds: above nothing, and no barrel. */
function volumeIn(text: string, unit: Workshop['units']['volume']): Parsed {
  const read = parseQuantity(text, 'volume', unit);
  if (!read.ok || (read.value > 0 && read.value <= 20_000)) return read;
  return { ok: false, mend: 'The volume is above 0 mL and at most 20 L. Check the unit.' };
}

export type TypedCan = z.input<ReturnType<typeof canAnswersSchema>>;
export type CanAnswers = z.output<ReturnType<typeof canAnswersSchema>>;

/** The sheet, the product and the can that the answers make; a can like another one shares its sheet. */
export function canFacts(
  answers: CanAnswers,
  newId: () => string,
  now: string,
): { readonly sheet: Sheet | null; readonly product: Product; readonly can: Can } {
  const { same, kind, family, packMl, hex, leftMl, paid, name } = answers;
  const colour = namedColour(hex);
  const made = same ? null : sheetFrom(answers, newId());
  const sheet = same ?? (made as Sheet);
  const product: Product = {
    id: newId(),
    sheetId: sheet.id,
    name: (name || (same ? `${same.name}, ${colour.name}` : usualName(answers))).slice(0, 80),
    lab: colour.lab,
    ...(colour.edgeOn ? { edgeOn: colour.edgeOn } : {}),
    ...(sheet.role === 'metallic' ? { flake: colour.flake ?? 'metallic' } : {}),
    transparent: sheet.family === 'candy' || (!same && kind.transparent === true),
    typicalMl: packMl,
    typicalPrice: paid ?? typicalPack(same?.family ?? family, sheet.role, sheet.hand).price,
  };
  const can: Can = { id: newId(), productId: product.id, packMl, leftMl, leftAt: now, opened: leftMl < packMl, paid: paid ?? 0 };
  return { sheet: made, product, can };
}

function usualName({ kind, hex }: CanAnswers): string {
  if (kind.clear) return `${kind.noun[0].toUpperCase()}${kind.noun.slice(1)}`;
  return `${namedColour(hex).name} ${kind.noun}`;
}

function sheetFrom(answers: CanAnswers, id: string): Sheet {
  const { kind, family, hand, name } = answers;
  return {
    id,
    name: name || usualName(answers),
    family,
    role: kind.role,
    hand,
    forPlastics: false,
    isocyanate: family === 'urethane-2k',
    label: kind.gloss === undefined ? {} : { gloss: kind.gloss },
    source: 'default',
  };
}
