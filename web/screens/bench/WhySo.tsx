import type { Evening, EveningRow } from '#core/plan/index';
import { capital, listed } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';

/** Why the evening is laid out as it is: what is done together, and what that spares. */
export function WhySo({ evening, minutes }: { evening: Evening; minutes: number }) {
  const { pieceById } = usePlan();
  const spared = evening.partByPart - minutes;
  if (spared <= 0) return null;
  const shared = evening.rows.flatMap((row) => (row.kind === 'work' && piecesIn(row).length > 1 ? [row] : []));
  const texts = shared.map((row) => {
    const pieces = listed(piecesIn(row).map((id) => pieceById.get(id)?.name ?? ''));
    return `${capital(row.steps[0].coat?.name ?? row.steps[0].title.toLowerCase())} for ${pieces} in one go: one set-up, one clean-up.`;
  });
  return (
    <section className="sheet" aria-label="Why so">
      <h2>Why so</h2>
      {texts.length === 0 ? (
        <p className="mt-2">Parts that take the same treatment are done side by side, with one set-up.</p>
      ) : (
        [...new Set(texts)].map((text) => (
          <p key={text} className="mt-2">
            {text}
          </p>
        ))
      )}
      <p className="second mt-2 text-small">
        Part by part it would be {evening.partByPart} min of work, {spared} more.
      </p>
    </section>
  );
}

function piecesIn({ steps }: EveningRow): string[] {
  return [...new Set(steps.map(({ pieceId }) => pieceId))];
}
