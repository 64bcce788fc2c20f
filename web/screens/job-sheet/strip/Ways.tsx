import { counted } from '#core/units/index';
import { type Part, type Piece, plain, type StripMethod } from '#core/facts/index';
import { type Preparation, type PricedWay, type Way, withPiece } from '#core/plan/index';
import { useEffect, useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { planner } from '../../../workers/planner.ts';
import { withPart } from '../pieceChanges.ts';

const OTHERS = 2;

/** The planned method against scuff-and-keep and the next best, each planned to the end: dates and money, not opinions. */
export function Ways({ piece, part, preparation }: { piece: Piece; part: Part; preparation: Preparation }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const [priced, setPriced] = useState<PricedWay[] | null>(null);
  const { choice, options } = preparation;
  useEffect(() => {
    if (!choice.method) return;
    const usable = options.filter((row) => row.verdict !== 'never' && row.method !== choice.method && row.method !== 'chlorinated');
    const keep = usable.filter((row) => row.method === 'scuff');
    const next = usable.filter((row) => row.method !== 'scuff').sort((a, b) => a.minutes - b.minutes);
    const methods: StripMethod[] = [choice.method, ...keep.map((row) => row.method), ...next.slice(0, OTHERS).map((row) => row.method)];
    const ways: Way[] = methods.map((stripMethod) => ({
      label: plain(stripMethod),
      facts: withPiece(facts, withPart(piece, part.id, { stripMethod })),
    }));
    let current = true;
    planner.ways(ways, piece.id, plan.now).then((answer) => current && setPriced(answer));
    return () => {
      current = false;
    };
  }, [piece, part, facts, plan.now, choice.method, options]);
  const first = priced?.[0];
  if (!choice.method) return null;
  return (
    <section className="mt-4 border-t border-hairline pt-2" aria-label="To the end, each way">
      <h3 className="font-[650] text-ink">To the end, each way</h3>
      {!priced && <p className="second">Planning each way …</p>}
      {priced && first && (
        <table className="mt-1 w-full">
          <tbody>
            {priced.map((way, index) => (
              <tr key={way.label} className="border-t border-hairline">
                <td className="py-1 font-[650] text-ink">
                  {way.label}
                  {index === 0 && <span className="second font-[400]"> planned</span>}
                </td>
                <td className="py-1">{way.stopped ?? (way.likely === null ? 'no date' : `likely ${words.day(way.likely)}`)}</td>
                <td className="figure py-1 text-right">{words.money(way.money, true)}</td>
                <td className="second py-1 text-right text-small max-sm:hidden">{index === 0 ? '' : difference(way, first)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** "3 days sooner, 95 min less" */
function difference(way: PricedWay, than: PricedWay): string {
  if (way.likely === null || than.likely === null) return '';
  const days = Math.round((way.likely - than.likely) / 1440);
  const minutes = way.minutes - than.minutes;
  return [
    days === 0 ? 'the same day' : `${counted(Math.abs(days), 'day')} ${days < 0 ? 'sooner' : 'later'}`,
    ...(minutes === 0 ? [] : [`${Math.abs(minutes)} min ${minutes < 0 ? 'less' : 'more'}`]),
  ].join(', ');
}
