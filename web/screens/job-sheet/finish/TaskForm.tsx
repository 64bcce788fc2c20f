import { type Act, FITTINGS, type Piece, type Task } from '#core/facts/index';
import type { PieceView } from '#core/plan/index';
import { actsBySound } from '#core/survey/index';
import { useMemo } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { SmallCheck, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../views/typed/useTyped.ts';
import { usePieceSave } from '../pieceChanges.ts';
import { momentChoices } from './moments.ts';
import { READY_TASKS, type ReadyTask } from './readyTasks.ts';
import { AS_IT_SOUNDS, AS_IT_WAS, freshTask, type TaskAnswers, taskAnswersSchema, typedTask, type TypedTask } from './taskAnswers.ts';

/** A step of one's own, new or changed: what it is, what it does, how long, and what it comes after and before. */
export function TaskForm({ piece, view, was, onKept }: { piece: Piece; view: PieceView; was?: Task; onKept?: () => void }) {
  const { workshop } = usePlan();
  const save = usePieceSave();
  const parts = piece.parts.filter((part) => part.gone !== true);
  const moments = useMemo(
    () => ({ after: momentChoices(piece, view.stacks, 'after', was), before: momentChoices(piece, view.stacks, 'before', was) }),
    [piece, view.stacks, was],
  );
  const schema = taskAnswersSchema({ id: was?.id ?? newId(), currency: workshop.currency, moments, was });
  const fresh = was
    ? typedTask(was)
    : freshTask(
        READY_TASKS[0],
        parts.slice(0, 1).map(({ id }) => id),
      );
  const form = useTyped<TypedTask, TaskAnswers>(schema, fresh);
  const { typed, put, problem, send } = form;
  const pick = (own: ReadyTask) => {
    const { name, minutes, alone } = freshTask(own, []);
    put({ kind: own.kind, name, minutes, alone });
  };
  const keep = async ({ task, buy }: TaskAnswers) => {
    const parcel = buy ? [{ id: newId(), ...buy, arrived: false, holds: { taskId: task.id } }] : [];
    const others = piece.tasks ?? [];
    const tasks = was ? others.map((own) => (own.id === task.id ? task : own)) : [...others, task];
    const kept = await save(
      { ...piece, tasks, parcels: [...piece.parcels, ...parcel] },
      was ? `${task.name} is changed.` : `${task.name} is in the plan.`,
    );
    if (kept) onKept?.();
    return kept;
  };
  const sound = actsBySound(typed.name);
  const tie = (end: 'after' | 'before', none: string) => (
    <SmallSelect
      label={`it comes ${end}`}
      width="!w-56"
      value={typed[end]}
      options={[{ value: '', label: none }, ...moments[end].map((own) => ({ value: own.key, label: own.label }))]}
      onChange={(key) => put({ [end]: key })}
    />
  );
  const asItWas = was ? [{ value: AS_IT_WAS, label: 'as it was' }] : [];
  return (
    <SmallForm
      label={was ? `Change ${was.name}` : 'Add a step of your own'}
      className="basis-full"
      problem={problem('partIds')}
      onSend={() => void send(keep)}
    >
      {!was && (
        <fieldset className="flex flex-wrap gap-2">
          <legend className="sr-only">What kind of step</legend>
          {READY_TASKS.map((own) => (
            <button
              key={own.kind}
              type="button"
              className="chip !min-h-10"
              aria-pressed={own.kind === typed.kind}
              onClick={() => pick(own)}
            >
              {own.kind === 'own' ? 'something else' : own.name.toLowerCase()}
            </button>
          ))}
        </fieldset>
      )}
      <div className="mt-3 flex flex-wrap items-end gap-3">
        <TypedField form={form} of="name" label="called" width="!w-52" placeholder="what it is" />
        <TypedField form={form} of="minutes" label="at the bench" width="!w-24 font-mono" placeholder="10 min" />
        <TypedField form={form} of="alone" label="then left alone" width="!w-28 font-mono" placeholder="12 h" />
        {typed.kind === 'own' && (
          <>
            <SmallSelect
              label="what is done"
              width="!w-52"
              value={typed.does}
              options={[
                { value: AS_IT_SOUNDS, label: `as it sounds: ${ACT_WORDS[sound.acts[0]]}` },
                ...asItWas,
                ...DOABLE.map((act) => ({ value: act, label: ACT_WORDS[act] ?? act })),
              ]}
              onChange={(does) => put({ does })}
            />
            <SmallSelect
              label="what sits there then"
              width="!w-56"
              value={typed.fits}
              options={[
                { value: AS_IT_SOUNDS, label: `as it sounds: ${sound.fits ?? 'nothing'}` },
                ...asItWas,
                { value: 'nothing', label: 'nothing' },
                ...FITTINGS.map((own) => ({ value: own, label: own })),
              ]}
              onChange={(fits) => put({ fits })}
            />
          </>
        )}
        {tie('after', 'any time')}
        {tie('before', 'the fit at the end')}
        {!was && <TypedField form={form} of="buy" label="to be bought" width="!w-40" placeholder="clear sheet, 0.3 mm" />}
        {!was && <TypedField form={form} of="price" label={`price, ${workshop.currency}`} width="!w-20 font-mono" inputMode="decimal" />}
      </div>
      <fieldset className="mt-3 flex flex-wrap gap-3">
        <legend className="second text-small">on which parts</legend>
        {parts.map((part) => (
          <SmallCheck
            key={part.id}
            label={part.name}
            checked={typed.partIds.includes(part.id)}
            onChange={(on) => put({ partIds: on ? [...typed.partIds, part.id] : typed.partIds.filter((id) => id !== part.id) })}
          />
        ))}
      </fieldset>
      <button type="submit" className="act mt-3 !min-h-10" data-first="true">
        {was ? 'Keep it so' : 'Put it in the plan'}
      </button>
    </SmallForm>
  );
}

/** Acts a person may do in a step of their own, as they would say them. */
const ACT_WORDS: Partial<Record<Act, string>> = {
  handle: 'only handled',
  'glue-on': 'glued on',
  'screw-on': 'screwed on',
  'slide-on': 'slid on',
  'press-on': 'pressed on',
  drill: 'drilled',
  'solvent-wipe': 'wiped with solvent',
  'water-wash': 'washed',
  'dry-sand': 'sanded dry',
  'wet-sand': 'sanded wet',
  polish: 'polished or waxed',
  heat: 'warmed',
  tape: 'taped',
  cover: 'covered with sheeting',
  hang: 'hung and aligned',
  close: 'closed',
  test: 'tested',
  record: 'photographed, measured',
};
const DOABLE = Object.keys(ACT_WORDS) as Act[];
