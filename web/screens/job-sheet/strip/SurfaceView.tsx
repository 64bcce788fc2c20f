import type { Mend, Part, Piece } from '#core/facts/index';
import { plain } from '#core/facts/index';
import type { Preparation } from '#core/plan/index';
import { advisedMend, GRITS, mendsFor } from '#core/prep/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { LadderDrawing } from './LadderDrawing.tsx';
import { counted, quarterSheets, toIso } from '#core/units/index';
import { workSize } from '#core/survey/index';

/** Why a mark has no step of its own. */
const NO_STEP: Partial<Record<Mend, string>> = {
  sand: 'the papers below take it out',
  'metal-prep': 'the metal prep after stripping does it',
  replace: 'order it under Finish and fit',
  leave: 'it stays as it is',
};

/** What is put right and how, then the papers drawn to scale against the primer that must fill their scratches. */
export function SurfaceView({ piece, part, preparation }: { piece: Piece; part: Part; preparation: Preparation }) {
  const { surface, repairs } = preparation;
  const save = usePieceSave();
  const marks = part.marks ?? [];
  const sheets = Math.ceil(quarterSheets(workSize(part)) - 1e-9);
  const choose = (id: string, mend: Mend | undefined) =>
    void save(
      withPart(piece, part.id, {
        marks: marks.map(({ mend: _was, ...mark }) =>
          mark.id === id ? { ...mark, ...(mend ? { mend } : {}) } : { ...mark, ...(_was ? { mend: _was } : {}) },
        ),
      }),
      'The plan has moved.',
    );
  return (
    <div className="mt-4 space-y-5">
      <section aria-label="Repairs">
        <h3 className="font-[650] text-ink">{repairs.length > 0 ? 'Put right first' : 'Nothing is marked on this part'}</h3>
        <ul>
          {marks.map((mark, index) => (
            <li key={mark.id} className="grid grid-cols-[minmax(0,1fr)_200px] items-start gap-3 border-b border-hairline py-1.5">
              <span>
                {repairs[index]?.mark}
                <span className="second block text-small">
                  {repairs[index]?.steps.map((step) => `${step.title.split(',')[0]} ${Math.round(step.minutes)} min`).join(', then ') ||
                    NO_STEP[repairs[index]?.mend ?? 'leave']}
                </span>
              </span>
              <select
                className="field !min-h-10"
                aria-label={`How to mend: ${repairs[index]?.mark}`}
                value={mark.mend ?? ''}
                onChange={(event) => choose(mark.id, (event.target.value || undefined) as Mend | undefined)}
              >
                <option value="">advised: {plain(advisedMend(mark, part, piece))}</option>
                {mendsFor(part, piece).map((mend) => (
                  <option key={mend} value={mend}>
                    {plain(mend)}
                  </option>
                ))}
              </select>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="Grit ladder">
        <h3 className="font-[650] text-ink">
          {surface.noPaper ? surface.noPaper.because : surface.rungs.map((rung) => `P${rung.grit}`).join(' → ') || 'No ladder'}
          <span className="second font-[400]"> {counted(sheets, 'quarter sheet')} of each</span>
        </h3>
        {surface.buy.length > 0 && (
          <p className="border-l-4 border-ink pl-3">
            The papers owned do not reach: buy {surface.buy.map((grit) => `P${grit}`).join(' and ')}.
          </p>
        )}
        <LadderDrawing surface={surface} />
        <ol className="mt-2">
          {surface.rungs.map((rung) => (
            <li key={rung.grit} className="grid grid-cols-[56px_minmax(0,1fr)_190px] gap-3 border-t border-hairline py-1">
              <span className="figure text-ink">P{rung.grit}</span>
              <span>{rung.because}</span>
              <span className="second text-small">
                scratches {rung.scratchUm.toFixed(1)} µm
                {rung.hidden === null ? '' : rung.hidden ? ', the primer fills them' : ', they would show'}
              </span>
            </li>
          ))}
        </ol>
        <p className="second mt-2 text-small">
          By hand: edges, countersinks, hole rims and inside corners, or paint pops there first.
          {part.finish !== 'bare' && ' Sand wet where old paint may hold lead.'}
        </p>
        <OwnedPapers />
      </section>
    </div>
  );
}

/** Papers in the drawer: ladders are made from them alone. */
function OwnedPapers() {
  const { facts } = usePlan();
  const { save, remove } = useSaving();
  const [open, setOpen] = useState(false);
  const papers = facts.stock.filter((row) => row.kind === 'paper');
  const toggle = (grit: number) => {
    const row = papers.find((own) => own.spec === `P${grit}`);
    if (row) return void remove('stock', row.id, `P${grit} is out of the drawer.`);
    void save(
      'stock',
      { id: newId(), kind: 'paper', spec: `P${grit}`, unit: 'sheet', leftAt: toIso(nowMinute()) },
      `P${grit} is in the drawer.`,
    );
  };
  return (
    <div className="mt-2">
      <button type="button" className="linklike min-h-9 text-small" aria-expanded={open} onClick={() => setOpen(!open)}>
        {papers.length > 0
          ? `From the ${counted(papers.length, 'paper')} in the drawer`
          : 'Any paper can be had: say which are in the drawer'}
      </button>
      {open && (
        <fieldset className="mt-1 flex flex-wrap gap-1.5">
          <legend className="sr-only">Papers owned</legend>
          {GRITS.map((grit) => (
            <button
              key={grit}
              type="button"
              className="chip !px-2 font-mono"
              aria-pressed={papers.some((own) => own.spec === `P${grit}`)}
              onClick={() => toggle(grit)}
            >
              P{grit}
            </button>
          ))}
        </fieldset>
      )}
    </div>
  );
}
