import { type Cut, type CutNumbers, cutSchema, type Part, standingZones } from '#core/facts/index';
import { toIso } from '#core/units/index';
import { cutRefused } from '#core/zones/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { CutFields, type TypedCut } from './CutFields.tsx';
import { cutOf, DIVISION_WAYS, readNumbers, type DivisionWay, type ZoneSize } from './divisions.ts';

/** Divides the chosen zone: a way, at most three numbers that stand there already, one press. */
export function DivideZone({
  part,
  zone,
  size,
  onCut,
  onTrace,
}: {
  part: Part;
  zone: { readonly id: string; readonly name: string };
  size: ZoneSize;
  onCut: (cut: Cut) => void;
  onTrace: (() => void) | null;
}) {
  const [way, setWay] = useState<DivisionWay | null>(null);
  return (
    <div className="mt-3 flex flex-wrap items-center gap-2">
      <span className="mr-1 font-[650] text-ink">Divide {zone.name.toLowerCase()}</span>
      {DIVISION_WAYS.map((own) => (
        <button
          key={own.how}
          type="button"
          className="chip !min-h-10"
          aria-pressed={way?.how === own.how}
          onClick={() => setWay(way?.how === own.how ? null : own)}
        >
          {own.button}
        </button>
      ))}
      {onTrace && (
        <button type="button" className="chip !min-h-10" onClick={onTrace}>
          trace it
        </button>
      )}
      {way && (
        <CutForm
          key={`${zone.id}${way.how}`}
          part={part}
          zone={zone}
          size={size}
          way={way}
          onCut={(cut) => {
            setWay(null);
            onCut(cut);
          }}
        />
      )}
    </div>
  );
}

function CutForm({
  part,
  zone,
  size,
  way,
  onCut,
}: {
  part: Part;
  zone: { readonly id: string; readonly name: string };
  size: ZoneSize;
  way: DivisionWay;
  onCut: (cut: Cut) => void;
}) {
  const { workshop } = usePlan();
  const words = useWords();
  const [typed, setTyped] = useState<TypedCut>(() =>
    Object.fromEntries(
      way.fields.map(({ key, usual }) => {
        const value = usual(size);
        return [key, value === null ? '' : key === 'count' ? String(value) : words.typedLength(value)];
      }),
    ),
  );
  const [kind, setKind] = useState(way.kinds?.options[0].value ?? '');
  const [problem, setProblem] = useState('');
  const [problems, setProblems] = useState<TypedCut>({});
  const divide = () => {
    const told = readNumbers(way.fields, typed, workshop.units.length);
    setProblem('');
    setProblems('problems' in told ? told.problems : {});
    if ('problems' in told) return;
    const numbers: CutNumbers = { ...told.numbers, ...(way.kinds ? { [way.kinds.key]: kind } : {}) };
    const read = cutSchema.safeParse(
      cutOf({ way, zone, numbers, taken: standingZones(part).map((own) => own.name) }, toIso(nowMinute()), newId),
    );
    if (!read.success) return setProblem(read.error.issues[0].message);
    const refused = cutRefused(part, read.data);
    if (refused) return setProblem(refused);
    onCut(read.data);
  };
  return (
    <SmallForm
      label={`Divide ${zone.name} ${way.button}`}
      className="flex basis-full flex-wrap items-end gap-3"
      problem={problem}
      onSend={divide}
    >
      {way.kinds && <SmallSelect label="what" width="!w-40" value={kind} options={way.kinds.options} onChange={setKind} />}
      <CutFields fields={way.fields} typed={typed} problems={problems} onTyped={setTyped} />
      <button type="submit" className="act !min-h-10" data-first="true">
        Divide
      </button>
    </SmallForm>
  );
}
