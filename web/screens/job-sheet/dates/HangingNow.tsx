import type { FilmTimes } from '#core/drying/index';
import type { Piece } from '#core/facts/index';
import { listed } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const STAGES: readonly (readonly [keyof FilmTimes, string])[] = [
  ['touch', 'touch dry'],
  ['opens', 'may be coated'],
  ['shuts', 'shut for another coat'],
  ['dry', 'may be coated again'],
  ['tape', 'takes tape and sheeting'],
  ['handle', 'may be handled'],
  ['fit', 'takes screws'],
  ['cured', 'cured'],
];

/** What hangs of this piece now, film by film, with the hour of each stage: parts with the same film share a row. */
export function HangingNow({ piece }: { piece: Piece }) {
  const { plan } = usePlan();
  const words = useWords();
  const rows = new Map<string, { coat: string; times: FilmTimes; names: string[] }>();
  for (const { hung, partId } of plan.hanging) {
    if (!hung || hung.pieceId !== piece.id) continue;
    const name = piece.parts.find((part) => part.id === partId)?.name.toLowerCase() ?? '';
    const key = `${hung.coatName} ${STAGES.map(([stage]) => Math.round(hung.times[stage] ?? 0)).join(' ')}`;
    const row = rows.get(key) ?? { coat: hung.coatName, times: hung.times, names: [] };
    rows.set(key, { ...row, names: [...row.names, name] });
  }
  if (rows.size === 0) return null;
  return (
    <FoldingSheet title="Hanging now">
      {[...rows].map(([key, { coat, times, names }]) => (
        <div key={key} className="mt-2 border-t border-hairline pt-2">
          <p>
            <span className="font-[650] text-ink">{coat}</span> <span className="second">{listed(names)}</span>
          </p>
          <dl className="mt-1 grid grid-cols-[1fr_auto] gap-x-3 text-small">
            {STAGES.flatMap(([stage, name]) => {
              const at = times[stage];
              if (at === null || (stage === 'dry' && times.shuts === null)) return [];
              return [
                <dt key={`${stage} name`} className={at <= plan.now ? 'second' : 'text-ink'}>
                  {name}
                </dt>,
                <dd key={stage} className={`figure text-right ${at <= plan.now ? 'second' : ''}`}>
                  {at <= plan.now ? `since ${words.moment(at)}` : words.moment(at)}
                </dd>,
              ];
            })}
          </dl>
        </div>
      ))}
    </FoldingSheet>
  );
}
