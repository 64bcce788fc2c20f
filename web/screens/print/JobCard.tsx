import { madeOfText, type Part, type Piece } from '#core/facts/index';
import { type Preparation, preparationOf, type PlannedStep } from '#core/plan/index';
import { unplannedBecause, cautionsFor, DEFER } from '#core/safety/index';
import { partAreaCm2 } from '#core/survey/index';
import { useMemo } from 'react';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { oldPaintText } from '../../views/words/oldPaintText.ts';
import { useWords } from '../../app/useWords.ts';

/** One part on one sheet: what it is, each step with a place for the time, the gate, and the cautions. */
export function JobCard({ piece, part }: { piece: Piece; part: Part }) {
  const { facts, plan } = usePlan();
  const words = useWords();
  const preparation = useMemo(() => preparationOf(piece, part, facts), [piece, part, facts]);
  const steps = plan.steps.filter((step) => step.pieceId === piece.id && step.on.some((on) => on.partId === part.id));
  const refused = unplannedBecause(part.stops);
  return (
    <article className="sheet">
      <header className="flex items-baseline justify-between border-b-2 border-ink pb-2">
        <h1>
          {piece.name}: {part.name}
          {part.copies > 1 && ` × ${part.copies}`}
        </h1>
        <span className="figure">{part.pegs.length > 0 ? `peg ${part.pegs.join(', ')}` : ''}</span>
      </header>
      <p className="mt-2">
        {madeOfText(part)}, {oldPaintText(part)}, {Math.round(partAreaCm2(part))} cm².{' '}
        {piece.leadExcluded ? 'Cleared of lead.' : 'May hold lead: wet methods only.'}
      </p>
      {refused ? (
        <p className="mt-3 font-[650] text-ink">{refused}</p>
      ) : (
        <Work steps={steps} preparation={preparation} moment={words.moment} />
      )}
      <section className="mt-4">
        <h2>Cautions</h2>
        <ul>
          {cautionsFor(new Set(steps.flatMap((step) => step.hazards))).map(({ hazard, text }) => (
            <li key={hazard}>{text}</li>
          ))}
        </ul>
        <p className="second text-small">{DEFER}</p>
      </section>
    </article>
  );
}

function Work({ steps, preparation, moment }: { steps: readonly PlannedStep[]; preparation: Preparation; moment: (at: number) => string }) {
  return (
    <>
      <table className="mt-3 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="font-[400]">Step</th>
            <th className="font-[400]">Planned</th>
            <th className="text-right font-[400]">Min</th>
            <th className="w-28 text-right font-[400]">Done at</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((step) => (
            <tr key={step.id} className="break-inside-avoid border-t border-hairline align-top">
              <td className="py-1 pr-3">
                ☐ {step.title}
                {step.detail && <span className="second block pl-5 text-small">{step.detail}</span>}
              </td>
              <td className="figure py-1">{step.placed ? moment(step.placed.start) : 'no date'}</td>
              <td className="figure py-1 text-right">{step.minutes}</td>
              <td className="py-1 text-right">__ : __</td>
            </tr>
          ))}
        </tbody>
      </table>
      <section className="mt-4 break-inside-avoid">
        <h2>Gate before primer</h2>
        <ul className="columns-2">
          {preparation.gate.map((item) => (
            <li key={item}>☐ {item}</li>
          ))}
        </ul>
      </section>
    </>
  );
}
