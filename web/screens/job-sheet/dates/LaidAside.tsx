import type { Piece } from '#core/facts/index';
import { type Resumed, wrapsFrom } from '#core/plan/index';
import { counted, listed, toIso } from '#core/units/index';
import { useEffect, useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { DateField } from '../../../views/fields/DateField.tsx';
import { SmallField } from '../../../views/fields/SmallField.tsx';
import { planner } from '../../../workers/planner.ts';
import { usePieceSave } from '../pieceChanges.ts';

/** A piece put away for a time: where it lies, when it may be wrapped, until when, and what must be done again after that. */
export function LaidAside({ piece }: { piece: Piece }) {
  const { plan } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const [where, setWhere] = useState('');
  const wraps = wrapsFrom(piece.id, plan.hanging, plan.now);
  if (!piece.held)
    return (
      <div className="flex flex-wrap items-end gap-3">
        <SmallField label="lay it aside: where it lies" width="!w-44" placeholder="dry box, top shelf" value={where} onText={setWhere} />
        <button
          type="button"
          className="act !min-h-10"
          onClick={() =>
            void save(
              { ...piece, held: { since: toIso(nowMinute()), ...(where.trim() ? { where: where.trim() } : {}) } },
              'Laid aside: nothing of it is planned. Wrap nothing before it has cured.',
            )
          }
        >
          Lay it aside
        </button>
      </div>
    );
  const { held } = piece;
  return (
    <div className="space-y-2">
      <p className="font-[650]">Laid aside{held.where && `, ${held.where}`}.</p>
      <p className="text-small">
        {wraps === null
          ? 'Wrap nothing: a film on it never cures by itself.'
          : wraps <= plan.now
            ? 'It may be wrapped now; bare steel goes into a dry box.'
            : `It may be wrapped from ${words.moment(wraps)}: what lies on a film before that prints.`}
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <DateField
          label="Taken up again on"
          quiet
          value={held.until ?? ''}
          onChange={(until) => {
            if (until !== (held.until ?? ''))
              void save(
                { ...piece, held: { ...held, until: until || undefined } },
                until ? 'Planned from that day on.' : 'Laid aside without a day.',
              );
          }}
        />
        <button
          type="button"
          className="act !min-h-10"
          onClick={() => void save({ ...piece, held: undefined }, 'Taken up again: planned from here.')}
        >
          Take it up again
        </button>
      </div>
      {held.until && <AfterLying piece={piece} date={held.until} />}
    </div>
  );
}

/** What lying until then costs: films that have shut and must be keyed, steel that has rusted. */
function AfterLying({ piece, date }: { piece: Piece; date: string }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const [found, setFound] = useState<{ readonly of: typeof facts; readonly resumed: Resumed } | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once for these facts and this day, not at each passing minute
  useEffect(() => {
    let current = true;
    void planner.resumed(facts, plan.now, piece, date).then((resumed) => current && setFound({ of: facts, resumed }));
    return () => {
      current = false;
    };
  }, [facts, date]);
  if (found?.of !== facts) return null;
  const { redone, more, end } = found.resumed;
  return (
    <p className="text-small">
      {redone.length === 0
        ? 'Nothing has to be done again for it. '
        : `Keyed again then, ${words.duration(more)} more: ${listed([...new Set(redone.map(({ title }) => `“${title}”`))].slice(0, 4))}${redone.length > 4 ? ` and ${counted(redone.length - 4, 'more step')}` : ''}. `}
      {end !== null && `It ends about ${words.day(end)}.`}
    </p>
  );
}
