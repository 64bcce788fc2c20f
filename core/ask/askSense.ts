import { readWorkshopFile } from '#core/admission/index';
import { conditionsOf } from '#core/drying/index';
import { type Facts, momentSchema } from '#core/facts/index';
import { plan } from '#core/plan/index';
import { counted, toMinute } from '#core/units/index';
import { type Finding, sense } from '#core/verify/index';
import { z } from 'zod';
import { question } from './question.ts';

/** What a practitioner who reads the finished plan would call out. */

/** A finding as scripts get it: the mend in words, and what one press would change beside it. */
export type FindingRow = Omit<Finding, 'mend' | 'known'> & { readonly mend?: string; readonly change?: object; readonly known?: boolean };

/** Plans these facts and reads the plan. */
export function findingRows(facts: Facts, now: number): FindingRow[] {
  const conditions = conditionsOf(facts, now);
  const read = plan({ facts, now, conditions, datesOf: [] });
  return sense(read, facts, conditions).map(({ mend, known, ...finding }) => ({
    ...finding,
    ...(mend ? { mend: mend.text } : {}),
    ...(mend?.change ? { change: mend.change } : {}),
    ...(known ? { known: true } : {}),
  }));
}

const senseSchema = z.strictObject({ file: z.looseObject({}), now: momentSchema }).superRefine(({ file }, context) => {
  const read = readWorkshopFile(JSON.stringify(file));
  if (!read.ok)
    context.addIssue({
      code: 'custom',
      path: ['file', ...read.problem.at.split('.')],
      message: `${read.problem.error}. ${read.problem.mend}`,
    });
  else if (read.value.facts.workshop.length === 0)
    context.addIssue({
      code: 'custom',
      path: ['file', 'facts', 'workshop'],
      message: 'The workshop is not set up: there is nobody to plan for.',
    });
});

export const senseQuestion = question(senseSchema, ({ file, now }) => {
  const read = readWorkshopFile(JSON.stringify(file));
  const findings = read.ok ? findingRows(read.value.facts, toMinute(now)) : [];
  const own = findings.filter(({ chosenBy }) => chosenBy === 'tool').length;
  return {
    findings,
    because:
      findings.length === 0
        ? 'Nothing in this plan would make a practitioner laugh, or ruin a part.'
        : `${counted(findings.length, 'finding')}, ${own} of them chosen by the tool itself.`,
    rule: 'the sceptic',
    source: 'default',
  };
});
