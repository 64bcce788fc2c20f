import type { PlannedStep } from '#core/plan/index';
import { standingEvents } from '#core/facts/index';
import { openTicks, tickItems } from '#core/prep/index';
import { toIso } from '#core/units/index';
import { useState } from 'react';
import { logEvents } from '../../../app/writing/logging.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { newId } from '../../../app/writing/newId.ts';

/** What is looked at before this step counts: done passes all of it, one item that does not pass sends the part back. */
export function Checks({ step, now, onSaid }: { step: PlannedStep; now: number; onSaid: (text: string) => void }) {
  const { facts } = usePlan();
  const [open, setOpen] = useState(false);
  const fail = (item: string) => {
    void logEvents([{ id: newId(), at: toIso(now), kind: 'failed-check', pieceId: step.pieceId, partIds, item }]);
    onSaid('Sent back: what did not pass is put right first. The plan has moved.');
    setOpen(false);
  };
  const partIds = step.on.map((on) => on.partId);
  const ticks = tickItems(step.checks ?? []);
  const left = openTicks(ticks, step.pieceId, partIds, standingEvents(facts.events));
  const tick = (item: string) =>
    void logEvents([
      {
        id: newId(),
        at: toIso(now),
        kind: 'ticked',
        pieceId: step.pieceId,
        partIds,
        item,
        ...(left.includes(item) ? {} : { off: true }),
      },
    ]);
  return (
    <section className="mt-3" aria-label="Look at">
      <p className="text-lead text-[#d0d0d0]">Look at</p>
      <ul className="mt-1">
        {step.checks
          ?.filter((item) => !ticks.includes(item))
          .map((item) => (
            <li key={item} className="flex items-center justify-between gap-3 border-b border-[#3d3d3d] py-1.5 text-[16px]">
              <span>{item}</span>
              {open && (
                <button type="button" className="min-h-11 shrink-0 rounded-[3px] border border-[#8a8a8a] px-3" onClick={() => fail(item)}>
                  not this
                </button>
              )}
            </li>
          ))}
      </ul>
      {ticks.length > 0 && (
        <fieldset className="mt-2">
          <legend className="text-[16px] text-[#d0d0d0]">
            Tick each one, {ticks.length - left.length} of {ticks.length}
          </legend>
          <div className="mt-1 flex flex-wrap gap-2">
            {ticks.map((item) => (
              <button
                key={item}
                type="button"
                aria-pressed={!left.includes(item)}
                aria-label={item}
                className="min-h-12 min-w-12 rounded-[3px] border border-[#8a8a8a] px-2 text-[18px] aria-pressed:bg-white aria-pressed:font-[750] aria-pressed:text-[#151515]"
                onClick={() => tick(item)}
              >
                {/\d+/.exec(item)?.[0]}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      <button type="button" className="mt-1 min-h-11 underline underline-offset-4" aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'All of it passes' : 'Something does not pass'}
      </button>
    </section>
  );
}
