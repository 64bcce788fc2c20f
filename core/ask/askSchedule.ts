import { z } from 'zod';
import { idSchema } from '#core/facts/index';
import {
  collisionOf,
  finishOf,
  GOALS,
  type Goal,
  holdsOf,
  type Instance,
  sessionsIn,
  solveFor,
  type Starts,
  type Wait,
} from '#core/schedule/index';
import { counted, listed } from '#core/units/index';
import { question } from './question.ts';

/** `ask schedule`: work, waits and hours in, starts out; or the wishes that collide (trade §17). */

const minute = z.int('Minutes are whole.').min(0, 'Minutes are not negative.').max(2_000_000, 'That is more than three years.');
const units = z.int('Units are whole.').min(1, 'At least one unit.').max(1000);
const perResource = <T extends z.ZodType>(value: T) => z.record(idSchema, value);

const activitySchema = z.strictObject({
  id: idSchema,
  minutes: minute.min(1, 'Work takes at least a minute.'),
  attended: z.boolean(),
  uses: perResource(units).optional(),
  mix: z.string().min(1).max(120).optional(),
  notBefore: minute.optional(),
  notAfter: minute.optional(),
});

const stretchSchema = z
  .tuple([minute, minute.nullable()])
  .refine(([min, max]) => max === null || min <= max, 'A wait’s most is not below its least.');

const scheduleSchema = z
  .strictObject({
    goal: z.enum(GOALS),
    free: z
      .array(z.strictObject({ from: minute, to: minute }).refine((span) => span.from < span.to, 'Free time begins before it ends.'))
      .max(2000),
    capacity: perResource(units),
    activities: z.array(activitySchema).min(1, 'Give at least one activity.').max(200),
    gaps: z
      .array(z.strictObject({ from: idSchema, to: idSchema, allowed: z.array(stretchSchema).min(1, 'Give at least one stretch.').max(20) }))
      .max(2000),
    keeps: z
      .array(z.strictObject({ resource: idSchema, units, from: idSchema, to: idSchema }))
      .max(400)
      .optional(),
    changeover: perResource(minute).optional(),
    seed: z.int().optional(),
    millis: z.int().min(1, 'At least a millisecond.').max(600_000, 'At most ten minutes.').optional(),
  })
  .superRefine(({ activities, gaps, keeps, free, capacity, changeover }, context) => {
    const issue = (path: (string | number)[], message: string) => context.addIssue({ code: 'custom', path, message });
    const ids = activities.map(({ id }) => id);
    if (new Set(ids).size < ids.length) issue(['activities'], 'Two activities have the same id: give each its own.');
    const known = (path: (string | number)[], id: string) =>
      ids.includes(id) || issue(path, `No activity “${id}”: name one of the activities.`);
    const resource = (path: (string | number)[], id: string) => id in capacity || issue(path, `No resource “${id}”: give its capacity.`);
    for (const [index, gap] of gaps.entries()) {
      known(['gaps', index, 'from'], gap.from);
      known(['gaps', index, 'to'], gap.to);
      if (gap.from === gap.to) issue(['gaps', index], 'A gap lies between two different activities.');
    }
    for (const [index, keep] of (keeps ?? []).entries()) {
      known(['keeps', index, 'from'], keep.from);
      known(['keeps', index, 'to'], keep.to);
      resource(['keeps', index, 'resource'], keep.resource);
    }
    for (const [index, { uses, minutes, notBefore, notAfter }] of activities.entries()) {
      for (const id of Object.keys(uses ?? {})) resource(['activities', index, 'uses', id], id);
      if (notBefore !== undefined && notAfter !== undefined && notBefore + minutes > notAfter)
        issue(['activities', index, 'notAfter'], 'It would have to end before it can: move one of its two bounds.');
    }
    for (const id of Object.keys(changeover ?? {})) resource(['changeover', id], id);
    const sorted = [...free].sort((a, b) => a.from - b.from);
    if (sorted.some((span, index) => index > 0 && span.from < sorted[index - 1].to))
      issue(['free'], 'Two free intervals overlap: join them, or let one end where the next begins.');
  });

type Asked = z.infer<typeof scheduleSchema>;

/** Nodes of the search a millisecond is taken for: the answer must not depend on how fast the machine is. */
const NODES_A_MILLI = 25;
const USUAL_MILLIS = 8000;

export const scheduleQuestion = question(scheduleSchema, (asked) => {
  const instance = instanceOf(asked);
  const limit = { nodes: (asked.millis ?? USUAL_MILLIS) * NODES_A_MILLI };
  const { starts, proven } = solveFor(asked.goal, instance, limit);
  if (starts) return answerOf(asked.goal, instance, starts, proven);
  if (!proven)
    return {
      ...RULE,
      collide: [],
      stopped: 'time',
      because: 'No schedule was found in the time there was, and none ruled out: give it more.',
    };
  const { wishes, proven: irreducible } = collisionOf(instance, limit);
  const because =
    wishes.length === 1
      ? `There is no schedule because of ${wishes[0].text}.`
      : `These do not go together: ${listed(wishes.map(({ text }) => text))}. ${irreducible ? 'Without any one of them there is a schedule.' : 'These held it; one of them may be too many.'}`;
  return { ...RULE, collide: wishes, because };
});

const RULE = { rule: 'scheduling', source: 'default' };

function answerOf(goal: Goal, instance: Instance, starts: Starts, proven: boolean) {
  const { work, free } = instance;
  const used = sessionsIn(instance, starts);
  const finish = finishOf(instance, starts);
  const inside = (index: number) =>
    work.filter(({ attended }, at) => attended && free[index].from <= starts[at] && starts[at] < free[index].to);
  return {
    starts: Object.fromEntries(work.map(({ id }, at) => [id, starts[at]])),
    finish,
    sessions: used.length,
    sessionList: used.map((index) => ({ ...free[index], activities: inside(index).map(({ id }) => id) })),
    holds: Object.fromEntries(holdsOf(instance, starts)),
    proven,
    stopped: proven ? false : 'time',
    because: `${counted(work.length, 'step')} end at minute ${finish} in ${counted(used.length, 'session')}${proven ? `: nothing is ${BETTER[goal]}` : ', the best found in the time there was'}.`,
    ...RULE,
  };
}

const BETTER: Record<Goal, string> = {
  soonest: 'sooner',
  'fewest-sessions': 'done in fewer',
  calmest: 'calmer at its tightest window',
};

function instanceOf({ activities, gaps, keeps, free, capacity, changeover }: Asked): Instance {
  const place = new Map(activities.map(({ id }, at) => [id, at]));
  const at = (id: string) => place.get(id) as number;
  return {
    work: activities.map(({ id, minutes, attended, uses, mix, notBefore, notAfter }) => ({
      id,
      minutes,
      attended,
      uses: new Map(Object.entries(uses ?? {})),
      ...(mix === undefined ? {} : { mix }),
      ...(notBefore === undefined ? {} : { notBefore }),
      ...(notAfter === undefined ? {} : { notAfter }),
    })),
    waits: gaps.map((gap) => ({ from: at(gap.from), to: at(gap.to), allowed: apart(gap.allowed) })),
    kept: (keeps ?? []).map((keep) => ({ resource: keep.resource, units: keep.units, from: at(keep.from), to: at(keep.to) })),
    free: [...free].sort((a, b) => a.from - b.from),
    capacity: new Map(Object.entries(capacity)),
    changeover: new Map(Object.entries(changeover ?? {})),
  };
}

/** Stretches in order, those that meet joined. */
function apart(allowed: readonly (readonly [number, number | null])[]): Wait[] {
  const joined: { min: number; max: number | null }[] = [];
  for (const [min, max] of [...allowed].sort((a, b) => a[0] - b[0])) {
    const last = joined.at(-1);
    if (last && (last.max === null || min <= last.max)) last.max = last.max === null || max === null ? null : Math.max(last.max, max);
    else joined.push({ min, max });
  }
  return joined;
}
