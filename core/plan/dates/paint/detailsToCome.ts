import { detailMl } from '#core/amounts/index';
import type { Detail, Facts } from '#core/facts/index';
import type { Step } from '../../steps/index.ts';

/** A detail still to be painted by hand, with the step it is painted in and the paint it takes of its bottle, mL. */
export type DetailToCome = { readonly stepId: string; readonly pieceId: string; readonly detail: Detail; readonly ml: number };

export function detailsToCome(steps: readonly Pick<Step, 'id' | 'stage' | 'keys'>[], { pieces }: Facts): DetailToCome[] {
  const stepOf = new Map(
    steps.filter(({ stage }) => stage === 'detail').flatMap(({ id, keys }) => keys.map((key) => [key.split('.')[3], id] as const)),
  );
  return pieces.flatMap((piece) =>
    piece.parts.flatMap((part) =>
      (part.details ?? []).flatMap((detail) => {
        const stepId = stepOf.get(detail.id);
        return stepId === undefined ? [] : [{ stepId, pieceId: piece.id, detail, ml: detailMl(detail, part.copies) }];
      }),
    ),
  );
}
