import { addedUp, roundedUp, supplyText } from '#core/amounts/index';
import type { Part } from '#core/facts/index';
import { FORCING_MINUTES } from '#core/masking/index';
import type { PlannedStep } from '#core/plan/index';
import { counted } from '#core/units/index';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';

/** Tape that stays longer than this is worth a word, minutes. */
const LONG_TAPE = 26 * 60;

/** The tape that the steps still take, in a line, then each mask with when it goes on and comes off. */
export function TapeSteps({ part, steps }: { part: Part; steps: readonly PlannedStep[] }) {
  const words = useWords();
  const { plan } = usePlan();
  const minutes = steps.reduce((sum, step) => sum + step.minutes, 0);
  const tapes = addedUp(steps.flatMap(({ supplies }) => supplies.filter(({ kind }) => kind === 'tape'))).map(roundedUp);
  const others = new Set(steps.flatMap(({ on }) => on.flatMap(({ partId }) => (partId === part.id ? [] : [partId]))));
  const longest = Math.max(0, ...staysOn(steps));
  return (
    <>
      {tapes.length > 0 && (
        <p className="mt-4 flex flex-wrap items-baseline gap-3 border-y border-hairline py-2">
          <span className="font-[650] text-ink">Tape</span>
          <span className="second grow">
            {tapes.map(({ spec, amount, unit }) => `${spec}, ${supplyText(amount, unit)}`).join(' · ')}, 15 % spare in it
            {others.size > 0 && `; with ${counted(others.size, 'part')} masked in the same go`}
          </span>
          <span className="figure">{minutes} min</span>
        </p>
      )}
      {longest > LONG_TAPE && (
        <p className="mt-2 border-l-4 border-ink pl-3 font-[650]">
          Tape would stay on for {words.duration(longest)}: it tears edges and leaves glue. Take it off and re-edge it on the next evening,
          or let fewer coats, a lighter ground or a warmer place keep all coats in one stay.
        </p>
      )}
      {steps.length > 0 && (
        <>
          <h3 className="mt-4 font-[650] text-ink">Tape on, tape off</h3>
          <ol>
            {steps.map((step) => (
              <li key={step.id} className="grid grid-cols-[150px_1fr_auto] gap-4 border-b border-hairline py-2">
                <time className="figure">{step.placed ? words.moment(step.placed.start) : 'no date'}</time>
                <span>
                  <span className="font-[650] text-ink">{step.title}</span>
                  <span className="second block text-small">{step.detail}</span>
                  <span className="second block text-small">{step.placed ? step.placed.hold.text : step.unplacedWhy}</span>
                  {step.forcedFrom !== undefined && step.forcedFrom > plan.now && (
                    <span className="second block text-small">
                      Forced from {words.moment(step.forcedFrom)}, when the film bears a hand: one mask in four lifts it then, one in fifty
                      once it is tape-safe. That risk is worth {FORCING_MINUTES} min; force it only where an evening saved is worth more.
                    </span>
                  )}
                </span>
                <span className="figure">{step.minutes} min</span>
              </li>
            ))}
          </ol>
        </>
      )}
    </>
  );
}

function staysOn(steps: readonly PlannedStep[]): number[] {
  return steps.flatMap((step) => {
    const off = steps.find((own) => own.stage === 'unmask' && own.id === step.id.replace('.mask.', '.unmask.'));
    return step.stage === 'mask' && step.placed && off?.placed ? [off.placed.start - step.placed.end] : [];
  });
}
