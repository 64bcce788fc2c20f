import type { Piece } from '#core/facts/index';
import { whenRefused } from '#core/plan/index';
import { listed } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { MomentField } from '../../views/fields/MomentField.tsx';
import { TookField } from '../../views/fields/TookField.tsx';
import { doneEvents } from '#core/plan/index';
import { readMinutes, withMinutes } from '#core/plan/index';
import { partKeyParts } from '../bench/outcome/stepKeyParts.ts';

/** A planned step that was done away from the bench, entered with its own time. */
export function AddDone({ piece }: { piece: Piece }) {
  const { plan, facts, stepById, workshop } = usePlan();
  const [open, setOpen] = useState(false);
  const [stepId, setStepId] = useState('');
  const [at, setAt] = useState<number | null>(null);
  const [took, setTook] = useState('');
  const read = readMinutes(took);
  const steps = plan.steps.filter((step) => step.pieceId === piece.id && !step.stopped);
  const step = stepById.get(stepId);
  const nameOf = (id: string) => piece.parts.find((part) => part.id === id)?.name.toLowerCase() ?? '';
  const layerOf = (partId: string) => partKeyParts(step?.keys[step.on.findIndex((on) => on.partId === partId)] ?? '').subject;
  const events = step ? doneEvents(step, newId, at ?? nowMinute(), workshop.dryPlaceId, undefined, layerOf) : [];
  const why = events
    .flatMap((event) => (event.kind === 'done' ? [whenRefused(event, at ?? Number.NaN, piece, facts.events, nowMinute())] : []))
    .find((text) => text !== null);
  const add = () => {
    if (!step || why || read.problem) return;
    void logEvents(withMinutes(events, read.minutes));
    setOpen(false);
    setStepId('');
    setTook('');
    setAt(null);
  };
  if (steps.length === 0) return null;
  if (!open) {
    return (
      <button type="button" className="act mt-4 !min-h-10" onClick={() => setOpen(true)}>
        Add work already done
      </button>
    );
  }
  return (
    <fieldset className="mt-4 flex flex-wrap items-start gap-x-4 gap-y-3 border border-hairline p-3">
      <legend className="px-1 font-[650]">Work already done</legend>
      <label className="block basis-full">
        <span className="mb-1 block font-[650]">What</span>
        <select className="field" value={stepId} onChange={(event) => setStepId(event.target.value)}>
          <option value="">choose the step</option>
          {steps.map((own) => (
            <option key={own.id} value={own.id}>
              {own.title}, {listed(own.on.map((on) => nameOf(on.partId)))}
            </option>
          ))}
        </select>
      </label>
      <MomentField label="Done at" value={at} onChange={setAt} problem={step && at !== null ? why : undefined} />
      <TookField typed={took} onTyped={setTook} problem={read.problem} />
      <span className="flex gap-2 sm:mt-7">
        <button
          type="button"
          className="act !min-h-10"
          data-first="true"
          disabled={!step || at === null || Boolean(why) || read.problem !== ''}
          onClick={add}
        >
          Add it
        </button>
        <button type="button" className="act !min-h-10" onClick={() => setOpen(false)}>
          Not now
        </button>
      </span>
    </fieldset>
  );
}
