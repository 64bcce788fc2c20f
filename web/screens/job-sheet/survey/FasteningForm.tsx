import { FASTENINGS, type Fastening, fasteningSchema, type Piece, plain, threadSchema } from '#core/facts/index';
import { parseNumber, parseQuantity } from '#core/units/index';
import { zodResolver } from '@hookform/resolvers/zod';
import { useMemo } from 'react';
import { useForm, type UseFormRegisterReturn } from 'react-hook-form';
import { z } from 'zod';
import { usePlan } from '../../../app/PlanContext.tsx';
import { newId } from '../../../app/useFacts.ts';
import { useWords } from '../../../app/useWords.ts';
import { Chips } from '../../../views/Chips.tsx';
import { TextField } from '../../../views/TextField.tsx';

const HEADS = ['repaint', 'replace', 'leave'] as const;

/** A fastening as it is typed, read into the fact; sizes in the person's own unit, each refusal at its field. */
function typedSchema(lengthUnit: string, id: string) {
  return z
    .object({
      kind: fasteningSchema.shape.kind,
      count: z.string(),
      a: z.string(),
      b: z.string(),
      behind: z.string(),
      note: z.string(),
      heads: z.enum(HEADS).optional(),
      across: z.string(),
      deep: z.string(),
      thread: threadSchema,
      gap: z.string(),
    })
    .transform((typed, context): Fastening => {
      const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
      const size = (path: 'across' | 'deep') => {
        const read = parseQuantity(typed[path], 'length', lengthUnit);
        if (read.ok) return read.value;
        refuse(path, path === 'across' ? 'Type the post’s diameter, such as 4.2 mm.' : 'Type how deep the post is, such as 8 mm.');
        return Number.NaN;
      };
      const drilled = typed.kind === 'rivet' && (typed.across.trim() !== '' || typed.deep.trim() !== '');
      const post = drilled ? { acrossMm: size('across'), deepMm: size('deep'), thread: typed.thread } : undefined;
      if (context.issues.length > 0) return z.NEVER;
      const { kind, a, b, behind, note, heads, gap } = typed;
      const read = fasteningSchema.safeParse({
        id,
        kind,
        a,
        count: Number(typed.count),
        note,
        ...(b && b !== a ? { b } : {}),
        ...(behind && behind !== a && behind !== b ? { behind } : {}),
        ...(heads ? { heads } : {}),
        ...(post ? { post } : {}),
        ...(gap.trim() ? { gapUm: parseNumber(gap) ?? Number.NaN } : {}),
      });
      if (read.success) return read.data;
      for (const issue of read.error.issues) refuse(FIELD_OF[issue.path.join('.')] ?? String(issue.path[0]), issue.message);
      return z.NEVER;
    });
}

/** Where a fact's field is typed. */
const FIELD_OF: Readonly<Record<string, string>> = { 'post.acrossMm': 'across', 'post.deepMm': 'deep', gapUm: 'gap' };
type Typed = z.input<ReturnType<typeof typedSchema>>;

/** A fastening noted for the first time, or changed. */
export function FasteningForm({
  piece,
  was,
  onKeep,
  onCancel,
}: {
  piece: Piece;
  was: Fastening | undefined;
  onKeep: (fastening: Fastening) => void;
  onCancel: () => void;
}) {
  const { workshop } = usePlan();
  const words = useWords();
  const schema = useMemo(() => typedSchema(workshop.units.length, was?.id ?? newId()), [workshop.units.length, was?.id]);
  const { register, handleSubmit, setValue, watch, formState } = useForm<Typed, unknown, Fastening>({
    resolver: zodResolver(schema),
    defaultValues: {
      kind: was?.kind ?? 'screw',
      count: String(was?.count ?? 2),
      a: was?.a ?? piece.parts[0].id,
      b: was ? (was.b ?? '') : (piece.parts[1]?.id ?? ''),
      behind: was?.behind ?? '',
      note: was?.note ?? '',
      heads: was?.heads,
      across: was?.post ? words.length(was.post.acrossMm) : '',
      deep: was?.post ? words.length(was.post.deepMm) : '',
      thread: was?.post?.thread ?? 'M2',
      gap: was?.gapUm === undefined ? '' : String(was.gapUm),
    },
  });
  const { kind, heads, thread } = watch();
  const { errors } = formState;
  return (
    <form
      className="mt-3 space-y-3 border-l-4 border-ink pl-3"
      aria-label={was ? 'Change the fastening' : 'New fastening'}
      onSubmit={handleSubmit(onKeep)}
      noValidate
    >
      <Chips
        legend="Kind"
        options={FASTENINGS.map((value) => ({ value, label: plain(value) }))}
        value={kind}
        onChange={(value) => setValue('kind', value)}
      />
      <div className="grid gap-3 sm:grid-cols-3">
        <TextField label="how many" quiet inputMode="numeric" problem={errors.count?.message} {...register('count')} />
        <PartSelect label="of" piece={piece} field={register('a')} />
        <PartSelect label="to" piece={piece} none="the frame" field={register('b')} />
        <TextField label="gap before paint, µm" quiet inputMode="decimal" problem={errors.gap?.message} {...register('gap')} />
        <PartSelect label="lies behind" piece={piece} none="nothing" field={register('behind')} />
      </div>
      {kind === 'rivet' && (
        <div className="grid items-start gap-3 sm:grid-cols-3">
          <TextField label="post across" quiet problem={errors.across?.message} {...register('across')} />
          <TextField label="post deep" quiet problem={errors.deep?.message} {...register('deep')} />
          <Chips
            legend="Thread"
            options={threadSchema.options.map((value) => ({ value, label: value }))}
            value={thread}
            onChange={(value) => setValue('thread', value)}
          />
        </div>
      )}
      <TextField
        label={kind === 'glue' ? 'which glue; it must not fog clear parts' : 'for going back: screw × length, good side'}
        quiet
        mono={false}
        maxLength={120}
        problem={errors.note?.message}
        {...register('note')}
      />
      {kind !== 'glue' && (
        <Chips
          legend="Visible heads"
          options={HEADS.map((value) => ({ value, label: value }))}
          value={heads}
          onChange={(value) => setValue('heads', value)}
        />
      )}
      <div className="flex gap-3">
        <button type="submit" className="act" data-first="true">
          Note it
        </button>
        <button type="button" className="act" onClick={onCancel}>
          Cancel
        </button>
      </div>
    </form>
  );
}

function PartSelect({ label, piece, none, field }: { label: string; piece: Piece; none?: string; field: UseFormRegisterReturn }) {
  return (
    <label className="block">
      <span className="second mb-1 block">{label}</span>
      <select className="field" {...field}>
        {none && <option value="">{none}</option>}
        {piece.parts.map((part) => (
          <option key={part.id} value={part.id}>
            {part.name}
          </option>
        ))}
      </select>
    </label>
  );
}
