import type { Piece } from '#core/facts/index';
import { estimateOf, type PieceView } from '#core/plan/index';
import { CAUTIONS, DEFER } from '#core/safety/index';
import { capital, counted } from '#core/units/index';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { useWords } from '../../app/useWords.ts';

/** One page for whoever the piece belongs to: what it will cost, when it will be done, what is done and what is not. */
export function Estimate({ piece, view }: { piece: Piece; view: PieceView }) {
  const { plan, workshop } = usePlan();
  const words = useWords();
  const own = estimateOf(view, plan.steps);
  const told = own.hazards.filter((hazard) => FOR_THE_OWNER.includes(hazard));
  return (
    <article className="sheet">
      <header className="flex flex-wrap items-baseline justify-between gap-3 border-b-2 border-ink pb-2">
        <h1>Estimate: {piece.name}</h1>
        <span className="second">
          {workshop.name}, {words.day(plan.now)}
        </span>
      </header>
      <dl className="mt-4 grid max-w-xl grid-cols-[1fr_auto_auto] gap-x-8 gap-y-2">
        <dt />
        <dd className="second text-right">likely</dd>
        <dd className="second text-right">safe, with rework</dd>
        <dt className="font-[650] text-ink">Paint, material and parts</dt>
        <dd className="figure text-right">{words.money(own.likelyPrice, own.about)}</dd>
        <dd className="figure text-right">{words.money(own.safePrice, own.about)}</dd>
        <dt className="font-[650] text-ink">Done on</dt>
        <dd className="figure text-right">{own.likely === null ? 'no date yet' : words.day(own.likely)}</dd>
        <dd className="figure text-right">{own.safe === null ? 'no date yet' : words.day(own.safe)}</dd>
        <dt className="font-[650] text-ink">At the bench</dt>
        <dd className="figure col-span-2 text-right">
          {own.hours} h in {counted(own.sessions, 'session')}
        </dd>
      </dl>
      <section className="mt-5">
        <h2>What is done</h2>
        <ul className="list-disc pl-5">
          {own.work.map(({ text }) => (
            <li key={text}>{capital(text)}</li>
          ))}
        </ul>
      </section>
      <section className="mt-5">
        <h2>What is not in it</h2>
        <ul className="list-disc pl-5">
          <li>Hours of work: they are named above and not priced.</li>
          <li>Postage and insurance on the way here and back.</li>
          <li>Damage that only shows once the old paint is off.</li>
          {!piece.leadExcluded && <li>A laboratory test of the old paint for lead.</li>}
        </ul>
      </section>
      {told.length > 0 && (
        <section className="mt-5">
          <h2>To know</h2>
          <ul>
            {told.map((hazard) => (
              <li key={hazard}>{CAUTIONS[hazard]}</li>
            ))}
          </ul>
        </section>
      )}
      <p className="second mt-4 text-small">Each safe figure holds in nine jobs of ten. {DEFER}</p>
    </article>
  );
}

/** Cautions that outlast the work. */
const FOR_THE_OWNER: readonly string[] = ['toy', 'mains', 'lead'];
