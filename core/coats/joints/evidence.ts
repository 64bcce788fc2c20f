import type { FilmState } from '#core/drying/index';
import type { Material } from '#core/facts/index';
import type { Finding, JointVerdict } from './jointTypes.ts';

/** Rule 1: what the person's own boards and finished jobs have shown (trade §6). */

export const TILE_OUTCOMES = ['held', 'softened', 'lifted'] as const;
export type TileOutcome = (typeof TILE_OUTCOMES)[number];

/** One joint as it was really laid, and what became of it. */
export type Evidence = {
  /** Product by id, else family and role; `bare` and its material where nothing lay below. */
  readonly below: string;
  readonly above: string;
  readonly material: Material;
  readonly state: FilmState | 'bare';
  readonly scuffed: boolean;
  readonly outcome: TileOutcome;
  /** Minutes after the last coat below; absent: nothing lay below. */
  readonly minutesAfter?: number;
  /** Where it was seen, in words. */
  readonly from: string;
  readonly at: string;
  /** °C and % of the air then; its reach is similar air. */
  readonly air?: { readonly airC: number; readonly rh: number };
};

/** What a joint is looked up by. */
export type EvidenceQuestion = Pick<Evidence, 'below' | 'above' | 'material' | 'state' | 'scuffed'>;

const VERDICT: Record<TileOutcome, JointVerdict> = { held: 'sits', softened: 'care', lifted: 'stop' };
const SEEN: Record<TileOutcome, string> = { held: 'it held', softened: 'it softened a little', lifted: 'it lifted' };

/** An outcome told without its board, as by a script. */
export function outcomeFinding(outcome: TileOutcome): Finding {
  return {
    verdict: VERDICT[outcome],
    rule: '1 own evidence',
    because: `By your own evidence of the same products in the same state, ${SEEN[outcome]}.`,
  };
}

/** The newest own evidence on this joint as a finding; null without any. Same products, same state, keyed alike. */
export function evidenceFinding(all: readonly Evidence[], question: EvidenceQuestion): Finding | null {
  const matches = all
    .filter(
      (own) =>
        own.below === question.below &&
        own.above === question.above &&
        own.state === question.state &&
        own.scuffed === question.scuffed &&
        // A film hides what it lies on, except plastic that solvent reaches through it.
        own.material === question.material,
    )
    .sort((a, b) => b.at.localeCompare(a.at));
  const newest = matches[0];
  if (!newest) return null;
  const air = newest.air ? ` at ${Math.round(newest.air.airC)} °C and ${Math.round(newest.air.rh)} %` : '';
  const more = matches.length > 1 ? ` It was seen ${matches.length} times; the newest counts.` : '';
  return {
    verdict: VERDICT[newest.outcome],
    rule: '1 own evidence',
    because: `${newest.from}: ${SEEN[newest.outcome]}${air}. It speaks for the same products in the same state and similar air.${more}`,
  };
}

/** The longest after the last coat below that the same two paints have held, minutes; 0 without evidence. */
export function heldLatest(
  all: readonly Evidence[],
  { below, above, material }: Pick<EvidenceQuestion, 'below' | 'above' | 'material'>,
): number {
  const same = all.filter((own) => own.below === below && own.above === above && own.material === material && own.outcome === 'held');
  return Math.max(0, ...same.map(({ minutesAfter }) => minutesAfter ?? 0));
}

/** How a paint is known to the evidence: by its product, else by family and role. */
export function paintKey(paint: { readonly productId?: string; readonly family: string; readonly role: string }): string {
  return paint.productId ?? `${paint.family} ${paint.role}`;
}
