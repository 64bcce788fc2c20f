import { hasPaintedZone, madeOfText } from '#core/facts/index';
import { preparationOf } from '#core/plan/index';
import { type Hazard, isPlanned } from '#core/safety/index';
import { useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { Cautions } from '../../../views/Cautions.tsx';
import { Chips } from '../../../views/fields/Chips.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { PartTabs, usePart } from '../PartTabs.tsx';
import { StepLine } from '../StepLine.tsx';
import { oldPaintText } from '../../../views/words/oldPaintText.ts';
import { Gate } from './Gate.tsx';
import { Methods } from './Methods.tsx';
import { SurfaceView } from './SurfaceView.tsx';

const BEFORE_PAINT = [
  'wash',
  'reference',
  'test-patch',
  'strip',
  'strip-on',
  'strip-off',
  'metal-prep',
  'repair',
  'prep',
  'dry-fit',
  'clean',
  'look',
];
const VIEWS = [
  { key: 'methods', name: 'Old paint' },
  { key: 'surface', name: 'Repair and surface' },
  { key: 'gate', name: 'Clean and gate' },
] as const;

/** The work before primer, part by part: how the old paint goes, what is put right, and the gate before paint. */
export function Strip({ piece, view }: SectionProps) {
  const { plan, facts } = usePlan();
  const [params, setParams] = useSearchParams();
  const { part, parts } = usePart(piece, (own) => isPlanned(own) && hasPaintedZone(own));
  const shown = VIEWS.find((own) => own.key === params.get('view')) ?? VIEWS[0];
  const preparation = useMemo(() => (part ? preparationOf(piece, part, facts) : null), [piece, part, facts]);
  if (!part || !preparation) return <section className="sheet">Every part stays bare: there is nothing to strip.</section>;
  const steps = plan.steps
    .filter((step) => step.pieceId === piece.id && BEFORE_PAINT.includes(step.stage) && step.on.some((on) => on.partId === part.id))
    .sort((a, b) => (a.placed?.start ?? Number.POSITIVE_INFINITY) - (b.placed?.start ?? Number.POSITIVE_INFINITY));
  const hazards: Hazard[] = [...new Set(steps.flatMap((step) => step.hazards))];
  const choice = view.strips[part.id] ?? preparation.choice;
  const go = (key: string, id: string) => setParams({ view: key, part: id }, { replace: true });
  const props = { piece, part, preparation };
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_300px]">
      <section className="sheet" aria-labelledby="strip">
        <div className="flex flex-wrap items-start justify-between gap-3">
          <h2 id="strip" className="!text-title">
            {part.name}: {madeOfText(part)}, {oldPaintText(part)}
          </h2>
          <PartTabs parts={parts} part={part} choose={(id) => go(shown.key, id)} />
        </div>
        <p className="mt-1">{choice.because}</p>
        {steps.some((step) => step.stage === 'reference') && (
          <p className="mt-2 border-l-4 border-ink pl-3 font-[650]">
            Its old paint is a reference that is not read yet: read it, or match a dab beside it, before anything is stripped or scuffed.{' '}
            <Link className="linklike" to={`/pieces/${piece.id}/survey?view=colours`}>
              References
            </Link>
          </p>
        )}
        <div className="mt-3">
          <Chips
            legend="Work before paint"
            hideLegend
            options={VIEWS.map(({ key, name }) => ({ value: key, label: name }))}
            value={shown.key}
            onChange={(key) => go(key, part.id)}
          />
        </div>
        {shown.key === 'methods' && <Methods {...props} />}
        {shown.key === 'surface' && <SurfaceView {...props} />}
        {shown.key === 'gate' && <Gate {...props} />}
      </section>
      <aside className="space-y-4">
        <Cautions hazards={hazards} heading="Beside it" />
        <section className="sheet !p-4" aria-label="Planned steps">
          <h2>{steps.length > 0 ? 'In this order' : 'Stripped and clean'}</h2>
          <ol className="mt-1 space-y-1.5">
            {steps.map((step) => (
              <StepLine key={step.id} step={step} />
            ))}
          </ol>
          <Link className="linklike mt-2 inline-block min-h-9 text-small" to={`/pieces/${piece.id}/print/card?part=${part.id}`}>
            Job card of this part, to print
          </Link>
        </section>
      </aside>
    </div>
  );
}
