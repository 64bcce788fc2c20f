import { Link } from 'react-router';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import type { SectionKey } from './sectionNames.ts';
import type { SectionProps } from './sectionProps.ts';
import { StepLine } from './StepLine.tsx';

const LEFT: Partial<Record<SectionKey, string>> = {
  strip: 'Nothing is stripped, filled or sanded on a piece that is preserved.',
  coats: 'No primer and no colour goes over the paint of a piece that is preserved.',
  masking: 'No colour goes on, so there is nothing to mask.',
};

/** The sections that a preserved piece has no work for: why, what is done in their place, and the way to another aim. */
export function Preserved({ piece, section }: SectionProps & { readonly section: SectionKey }) {
  const { plan } = usePlan();
  const steps = plan.steps.filter((step) => step.pieceId === piece.id);
  const laidAside = piece.parts.flatMap(({ layers }) => layers).length;
  return (
    <section className="sheet" aria-labelledby="preserved">
      <h2 id="preserved" className="!text-title">
        It is preserved: kept as it is
      </h2>
      <p className="mt-1">
        {LEFT[section]} Repainting may cost it value and character, and cannot be taken back.
        {section === 'coats' && laidAside > 0 && ' The colours chosen for it are laid aside until its aim is another.'}
      </p>
      <h3 className="mt-4 font-[650] text-ink">What is done instead</h3>
      <ol className="mt-1 max-w-[560px] space-y-1.5">
        {steps.map((step) => (
          <StepLine key={step.id} step={step} detailed />
        ))}
      </ol>
      <p className="mt-4">
        Losses are touched in one by one: mark them in the survey.{' '}
        <Link className="linklike" to={`/pieces/${piece.id}/survey`}>
          Survey, marks and aim
        </Link>
      </p>
    </section>
  );
}

/** Sections that are about taking paint off and putting paint on. */
export function isLeftOut(section: SectionKey): boolean {
  return LEFT[section] !== undefined;
}
