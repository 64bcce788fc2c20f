import { type Act, type Fitting, type Task, taskKindSchema, taskSchema, type When } from '#core/facts/index';
import { actsBySound } from '#core/survey/index';
import { parseMoney, typedTime } from '#core/units/index';
import { z } from 'zod';
import { readFact, readQuantity, refuse } from '../../../views/typed/readFact.ts';
import { type Choice, keyOfWhen } from './moments.ts';
import { READY_TASKS, type ReadyTask } from './readyTasks.ts';

/** A step of one’s own as it is typed: what it is, how long, and what it comes after and before. */

/** What it does or leaves there is what its name sounds like, or stays what it was. */
export const AS_IT_SOUNDS = '';
export const AS_IT_WAS = 'as it was';

export type TypedTask = z.input<ReturnType<typeof taskAnswersSchema>>;

export function freshTask(ready: ReadyTask, partIds: readonly string[]): TypedTask {
  return {
    kind: ready.kind,
    name: ready.name,
    minutes: typedTime(ready.minutes),
    alone: ready.alone ? typedTime(ready.alone) : '',
    does: AS_IT_SOUNDS,
    fits: AS_IT_SOUNDS,
    after: '',
    before: '',
    partIds: [...partIds],
    buy: '',
    price: '',
  };
}

/** A step that is in the plan already, as it was typed. */
export function typedTask(task: Task): TypedTask {
  const sound = actsBySound(task.name);
  const ready = READY_TASKS.find(({ kind }) => kind === task.kind) ?? READY_TASKS[0];
  const own = task.kind === 'own';
  const sounds = own ? JSON.stringify(task.acts) === JSON.stringify(sound.acts) : task.acts === undefined;
  return {
    ...freshTask(ready, task.partIds),
    name: task.name,
    minutes: typedTime(task.minutes),
    alone: task.aloneMinutes ? typedTime(task.aloneMinutes) : '',
    does: sounds ? AS_IT_SOUNDS : AS_IT_WAS,
    fits: task.fits === (own ? sound.fits : undefined) ? AS_IT_SOUNDS : AS_IT_WAS,
    after: keyOfWhen(task.after),
    before: keyOfWhen(task.before),
  };
}

/** What is to be bought for it: a parcel that it waits for. */
export type TaskAnswers = { readonly task: Task; readonly buy: { readonly name: string; readonly price: number } | null };

type Asked = {
  readonly id: string;
  readonly currency: string;
  readonly moments: { readonly after: readonly Choice<When>[]; readonly before: readonly Choice<When>[] };
  /** The step that is changed; absent: a new one. */
  readonly was?: Task;
};

export const taskAnswersSchema = ({ id, currency, moments, was }: Asked) =>
  z
    .object({
      kind: taskKindSchema,
      name: z.string(),
      minutes: z.string(),
      alone: z.string(),
      /** An act, or one of the two words above. */
      does: z.string(),
      fits: z.string(),
      after: z.string(),
      before: z.string(),
      partIds: z.array(z.string()),
      buy: z.string(),
      price: z.string(),
    })
    .transform((typed, context): TaskAnswers => {
      const minutes = readQuantity(typed.minutes, 'duration', 'min', context, 'minutes');
      const alone = typed.alone.trim() ? readQuantity(typed.alone, 'duration', 'min', context, 'alone') : 0;
      const price = parseMoney(typed.price.trim() || '0', currency);
      if (!price.ok) refuse(context, 'price', price.mend);
      const named = typed.buy.trim();
      if (price.ok && price.value > 0 && named === '') refuse(context, 'buy', 'Say what that is the price of.');
      const after = moments.after.find(({ key }) => key === typed.after)?.value;
      const before = moments.before.find(({ key }) => key === typed.before)?.value;
      const task = readFact(
        taskSchema,
        {
          id,
          kind: typed.kind,
          name: typed.name,
          partIds: typed.partIds,
          minutes,
          ...(alone !== 0 ? { aloneMinutes: alone } : {}),
          ...(was?.note === undefined ? {} : { note: was.note }),
          ...saidActs(typed, was),
          ...(after ? { after } : {}),
          ...(before ? { before } : {}),
        },
        context,
        { aloneMinutes: 'alone' },
      );
      return { task, buy: named && price.ok ? { name: named, price: price.value } : null };
    });

type Said = { readonly acts?: readonly Act[]; readonly fits?: Fitting };

/** What is done and what sits there then: as chosen, as it was, else as its name sounds. A ready kind says it by itself. */
function saidActs({ kind, name, does, fits }: Pick<TypedTask, 'kind' | 'name' | 'does' | 'fits'>, was: Task | undefined): Said {
  const sound = actsBySound(name);
  const acts = does === AS_IT_WAS ? was?.acts : kind === 'own' ? (does === AS_IT_SOUNDS ? sound.acts : [does as Act]) : undefined;
  const sits = fits === AS_IT_WAS ? was?.fits : kind === 'own' ? sitsThen(fits, sound.fits) : undefined;
  return { ...(acts ? { acts } : {}), ...(sits ? { fits: sits } : {}) };
}

function sitsThen(fits: string, sound: Fitting | undefined): Fitting | undefined {
  if (fits === AS_IT_SOUNDS) return sound;
  return fits === 'nothing' ? undefined : (fits as Fitting);
}
