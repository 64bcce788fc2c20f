import type { Piece } from '#core/facts/index';
import { doneEvents, type LayerBelow, missingBelow, readMinutes, recalledBelow, whenRefused, withMinutes } from '#core/plan/index';
import { listed } from '#core/units/index';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { MomentField } from '../../views/fields/MomentField.tsx';
import { FormProblem } from '../../views/fields/SmallField.tsx';
import { TookField } from '../../views/fields/TookField.tsx';
import { usePieceSave } from '../job-sheet/pieceChanges.ts';
import { LiesBelow, layerKey } from './LiesBelow.tsx';
import { partKeyParts } from '../bench/outcome/stepKeyParts.ts';

/** A planned step that was done away from the bench, entered with its own time. */
export function AddDone({ piece }: { piece: Piece }) {
  const { plan, facts, stepById, workshop } = usePlan();
  const [open, setOpen] = useState(false);
  const [stepId, setStepId] = useState('');
  const [at, setAt] = useState<number | null>(null);
  const [took, setTook] = useState('');
  /** Pressed with something missing. */
  const [tried, setTried] = useState(false);
  const [absent, setAbsent] = useState<ReadonlySet<string>>(new Set());
  const savePiece = usePieceSave();
  const read = readMinutes(took);
  const steps = plan.steps.filter((step) => step.pieceId === piece.id && !step.stopped);
  const step = stepById.get(stepId);
  const nameOf = (id: string) => piece.parts.find((part) => part.id === id)?.name.toLowerCase() ?? '';
  const layerOf = (partId: string) => partKeyParts(step?.keys[step.on.findIndex((on) => on.partId === partId)] ?? '').subject;
  const events = step ? doneEvents(step, newId, at ?? nowMinute(), workshop.dryPlaceId, undefined, layerOf) : [];
  const below = step ? missingBelow(step, steps, piece) : [];
  const why = events
    .flatMap((event) => (event.kind === 'done' ? [whenRefused(event, at ?? Number.NaN, piece, facts.events, nowMinute())] : []))
    .find((text) => text !== null);
  const lacks = [...(step ? [] : ['Choose the step.']), ...(at === null ? ['Say when it was done.'] : [])].join(' ');
  const add = async () => {
    setTried(true);
    if (!step || at === null || why || read.problem) return;
    const never = below.filter((layer) => absent.has(layerKey(layer)));
    if (never.length > 0 && !(await savePiece(withoutLayers(piece, never)))) return;
    const there = below.filter((layer) => !never.includes(layer));
    void logEvents([...recalledBelow(there, step, at, newId, workshop.dryPlaceId), ...withMinutes(events, read.minutes)]);
    setOpen(false);
    setStepId('');
    setTook('');
    setAt(null);
    setAbsent(new Set());
    setTried(false);
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
        <select
          className="field"
          value={stepId}
          onChange={(event) => {
            setStepId(event.target.value);
            setAbsent(new Set());
          }}
        >
          <option value="">choose the step</option>
          {steps.map((own) => (
            <option key={own.id} value={own.id}>
              {own.title}, {listed(own.on.map((on) => nameOf(on.partId)))}
            </option>
          ))}
        </select>
      </label>
      <MomentField label="Done at" value={at} onChange={setAt} problem={step && at !== null ? why : undefined} />
      {below.some(({ same }) => !same) && (
        <LiesBelow piece={piece} layers={below.filter(({ same }) => !same)} absent={absent} onAbsent={setAbsent} />
      )}
      <TookField typed={took} onTyped={setTook} problem={read.problem} />
      <FormProblem text={tried ? lacks : ''} />
      <span className="flex gap-2 sm:mt-7">
        <button type="button" className="act !min-h-10" data-first="true" onClick={() => void add()}>
          Add it
        </button>
        <button type="button" className="act !min-h-10" onClick={() => setOpen(false)}>
          Not now
        </button>
      </span>
    </fieldset>
  );
}

/** The piece with what was never laid taken out of its stacks. */
function withoutLayers(piece: Piece, never: readonly LayerBelow[]): Piece {
  const gone = new Set(never.map(layerKey));
  return {
    ...piece,
    parts: piece.parts.map((part) => ({
      ...part,
      layers: part.layers.filter((layer) => !gone.has(layerKey({ partId: part.id, layerId: layer.id }))),
    })),
  };
}
