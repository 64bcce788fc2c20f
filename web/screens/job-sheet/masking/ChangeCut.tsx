import { type Cut, cutSchema, type Part } from '#core/facts/index';
import { firstRefused } from '#core/zones/index';
import { useState } from 'react';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { SmallForm } from '../../../views/fields/SmallField.tsx';
import { CutFields, type TypedCut } from './CutFields.tsx';
import { DIVISION_WAYS, readNumbers } from './divisions.ts';

/** Other numbers for a division there is: everything that follows from it moves along. */
export function ChangeCut({ part, cut, onChange }: { part: Part; cut: Cut; onChange: (cuts: Cut[]) => void }) {
  const { workshop } = usePlan();
  const words = useWords();
  const fields = (DIVISION_WAYS.find(({ how }) => how === cut.how)?.fields ?? []).filter(({ key }) => cut.numbers[key] !== undefined);
  const [typed, setTyped] = useState<TypedCut>(() =>
    Object.fromEntries(
      fields.map(({ key }) => [key, key === 'count' ? String(cut.numbers.count) : words.typedLength(Number(cut.numbers[key]))]),
    ),
  );
  const [problem, setProblem] = useState('');
  const [problems, setProblems] = useState<TypedCut>({});
  if (fields.length === 0) return null;
  const change = () => {
    const told = readNumbers(fields, typed, workshop.units.length);
    setProblems('problems' in told ? told.problems : {});
    if ('problems' in told) return;
    const read = cutSchema.safeParse({ ...cut, numbers: { ...cut.numbers, ...told.numbers } });
    if (!read.success) return setProblem(read.error.issues[0].message);
    const cuts = (part.cuts ?? []).map((own) => (own.id === cut.id ? read.data : own));
    const refused = firstRefused({ ...part, cuts });
    if (refused) return setProblem(refused.why);
    setProblem('');
    onChange(cuts);
  };
  return (
    <SmallForm label="Change this division" className="flex basis-full flex-wrap items-end gap-3" problem={problem} onSend={change}>
      <CutFields fields={fields} typed={typed} problems={problems} onTyped={setTyped} />
      <button type="submit" className="chip !min-h-10">
        change it
      </button>
    </SmallForm>
  );
}
