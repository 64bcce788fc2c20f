import { type Part, plain, type StripMethod } from '#core/facts/index';
import { stripEffort } from '#core/plan/index';
import type { Hazard } from '#core/safety/index';
import { PRACTICE, stripMethods, type StripVerdict } from '#core/strip/index';
import { durationText } from '#core/units/index';
import { usePlan } from '../../app/PlanContext.tsx';
import { useSaving } from '../../app/useFacts.ts';
import { useWords } from '../../app/useWords.ts';
import { Cautions } from '../../views/Cautions.tsx';
import type { SectionProps } from './JobSheet.tsx';
import { PartTabs, usePart } from './PartTabs.tsx';

const SHAPES = { ok: '●', test: '◐', care: '▲', never: '✕' } as const;
const WORDS = { ok: 'right', test: 'test first', care: 'care', never: 'never' } as const;

/** Every method for this material with its verdict and reason; one is chosen and its steps follow. */
export function Strip({ piece, view }: SectionProps) {
  const { plan } = usePlan();
  const { save } = useSaving();
  const words = useWords();
  const { part, parts, choose } = usePart(piece, (own) => own.refused === undefined && own.zones.some((zone) => zone.bare === undefined));
  if (!part) return <section className="sheet">Every part stays bare: there is nothing to strip.</section>;
  const { methods, advised } = stripMethods({
    material: part.material,
    finish: part.finish,
    leadExcluded: piece.leadExcluded,
    printed: part.printed,
    staysClear: part.staysClear,
  });
  const choice = view.strips[part.id];
  const steps = plan.steps.filter(
    (step) =>
      step.pieceId === piece.id &&
      ['wash', 'test-patch', 'strip', 'strip-on', 'strip-off', 'prep', 'clean', 'look'].includes(step.stage) &&
      step.on.some((on) => on.partId === part.id),
  );
  const take = (method: StripMethod | undefined, iKnow = false) => {
    const changed: Part = {
      ...part,
      stripMethod: method,
      ...(iKnow && method ? { iKnow: [...new Set([...(part.iKnow ?? []), method])] } : {}),
    };
    void save(
      'pieces',
      { ...piece, parts: piece.parts.map((own) => (own.id === part.id ? changed : own)) },
      method ? `${plain(method)} is planned.` : 'The advised method is planned.',
    );
  };
  const hazards = [
    ...new Set<Hazard>([
      ...(piece.leadExcluded || part.finish === 'bare' ? [] : (['lead'] as const)),
      ...(choice?.method ? PRACTICE[choice.method].hazard : []),
    ]),
  ];
  return (
    <div className="grid items-start gap-5 xl:grid-cols-[minmax(0,1fr)_340px]">
      <section className="sheet" aria-labelledby="strip">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 id="strip" className="!text-title">
            {part.name}: {plain(part.material)},{' '}
            {part.finish === 'bare' ? 'bare' : `old paint ${part.finish === 'unknown' ? 'not known' : part.finish}`}
          </h2>
          <PartTabs parts={parts} part={part} choose={choose} />
        </div>
        <p className="mt-2">{choice?.because}</p>
        {part.finish !== 'bare' && (
          <table className="mt-3 w-full">
            <thead>
              <tr className="second text-left text-small">
                <th className="py-1 font-[400]">Method</th>
                <th className="font-[400]">Verdict</th>
                <th className="font-[400]">Why</th>
                <th className="text-right font-[400]">At the bench</th>
                <th className="text-right font-[400]">Cost</th>
                <th aria-label="Choose" />
              </tr>
            </thead>
            <tbody>
              {[...methods].sort(byVerdict).map((row) => (
                <MethodRow
                  key={row.method}
                  row={row}
                  part={part}
                  advised={advised === row.method}
                  planned={choice?.method === row.method}
                  money={words.money}
                  onTake={take}
                />
              ))}
            </tbody>
          </table>
        )}
        {part.stripMethod && (
          <button type="button" className="linklike mt-3" onClick={() => take(undefined)}>
            Back to what is advised
          </button>
        )}
      </section>
      <aside className="space-y-5">
        <Cautions hazards={hazards} heading="Beside it" />
        <section className="sheet" aria-label="Planned steps">
          <h2>{steps.length > 0 ? 'In this order' : 'Stripped and clean'}</h2>
          <ol className="mt-2 space-y-2">
            {steps.map((step) => (
              <li key={step.id} className="flex justify-between gap-3">
                <span>
                  {step.title}
                  {step.detail && <span className="second block text-small">{step.detail}</span>}
                </span>
                <span className="figure text-right">
                  {step.minutes} min
                  <span className="second block">{step.placed ? words.moment(step.placed.start) : 'no date'}</span>
                </span>
              </li>
            ))}
          </ol>
        </section>
      </aside>
    </div>
  );
}

function byVerdict(a: StripVerdict, b: StripVerdict): number {
  const order = ['ok', 'test', 'care', 'never'];
  return order.indexOf(a.verdict) - order.indexOf(b.verdict);
}

/** "5 min to 24 h" */
function dwellText(method: StripMethod): string {
  const [least, most] = PRACTICE[method].dwell;
  return `${durationText(least)} to ${durationText(most)}`;
}

function MethodRow({
  row,
  part,
  advised,
  planned,
  money,
  onTake,
}: {
  row: StripVerdict;
  part: Part;
  advised: boolean;
  planned: boolean;
  money: (minor: number) => string;
  onTake: (method: StripMethod, iKnow?: boolean) => void;
}) {
  const effort = stripEffort(part, row.method);
  const never = row.verdict === 'never';
  const why = row.because.replace(/^.*?: /, '').replace(/\.$/, '');
  return (
    <tr className={`border-t border-hairline align-top ${planned ? 'bg-quiet' : ''}`}>
      <td className="py-2 pr-3 font-[650] text-ink">
        {plain(row.method)}
        {advised && <span className="second block text-small font-[400]">advised</span>}
      </td>
      <td className="py-2 pr-3 whitespace-nowrap">
        <span aria-hidden>{SHAPES[row.verdict]}</span> {WORDS[row.verdict]}
      </td>
      <td className="second py-2 pr-3 leading-snug">
        {row.because.includes(': ') ? why : 'no objection'}
        {!never && effort.waitMinutes > 0 && (
          <span className="block text-small">
            {effort.applications} × dwell {dwellText(row.method)}
          </span>
        )}
      </td>
      <td className="figure py-2 text-right">{!never && <>{effort.minutes} min</>}</td>
      <td className="figure py-2 pl-4 text-right">{!never && money(effort.cost)}</td>
      <td className="py-1 pl-3 text-right">
        {planned ? (
          <strong className="inline-block py-2">planned</strong>
        ) : never && row.noOverride ? (
          <span className="second text-small">refused</span>
        ) : never ? (
          <button type="button" className="linklike py-2 text-small" onClick={() => onTake(row.method, true)}>
            I know
          </button>
        ) : (
          <button type="button" className="chip" onClick={() => onTake(row.method)}>
            Take
          </button>
        )}
      </td>
    </tr>
  );
}
