import { type Part, type Piece, plain, type StripMethod } from '#core/facts/index';
import { bathsOf, type Preparation } from '#core/plan/index';
import { PRACTICE, type StripOption } from '#core/strip/index';
import { counted, durationText, toIso } from '#core/units/index';
import { useState } from 'react';
import { nowMinute } from '../../../app/plan/PlanContext.tsx';
import { logEvents } from '../../../app/writing/logging.ts';
import { newId } from '../../../app/writing/newId.ts';
import { useWords } from '../../../app/useWords.ts';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { Outcomes } from './Outcomes.tsx';
import { Ways } from './Ways.tsx';

const SHAPES = { ok: '●', test: '◐', care: '▲', never: '✕' } as const;
const WORDS = { ok: 'right', test: 'test first', care: 'care', never: 'never' } as const;
const ORDER = ['ok', 'test', 'care', 'never'] as const;

type Props = { readonly piece: Piece; readonly part: Part; readonly preparation: Preparation };

/** Every method beside every other: its verdict, what it asks of the evening and the purse, what must follow. */
export function Methods({ piece, part, preparation }: Props) {
  const save = usePieceSave();
  const [open, setOpen] = useState<StripMethod | null>(null);
  const { options, advised, choice, tried } = preparation;
  if (part.finish === 'bare') return <p className="mt-4">It is bare already. What is left is its surface: see Repair and surface.</p>;
  const usable = options.filter((row) => row.verdict !== 'never').sort(byVerdict);
  const never = options.filter((row) => row.verdict === 'never');
  const longest = Math.max(...usable.map((row) => row.minutes), 1);
  const take = (method: StripMethod | undefined, iKnow = false) => {
    const known = iKnow && method ? { iKnow: [...new Set([...(part.iKnow ?? []), method])] } : {};
    void save(
      withPart(piece, part.id, { stripMethod: method, ...known }),
      method ? `${plain(method)} is planned.` : 'The advised method is planned.',
    );
    if (iKnow && method) {
      const text = `“I know”: ${plain(method)} on ${part.name} (${plain(part.material)}), though it ruins the part.`;
      void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'note', pieceId: piece.id, text }]);
    }
  };
  return (
    <div>
      <table className="mt-3 w-full">
        <thead>
          <tr className="second text-left text-small">
            <th className="py-1 font-[400]">Method</th>
            <th className="font-[400]">Verdict</th>
            <th className="font-[400] max-sm:hidden">At the bench, and alone</th>
            <th className="text-right font-[400] max-sm:hidden">Evenings</th>
            <th className="text-right font-[400]">Cost</th>
            <th aria-label="Choose" />
          </tr>
        </thead>
        <tbody>
          {usable.map((row) => (
            <MethodRow
              key={row.method}
              row={row}
              longest={longest}
              advised={advised === row.method}
              planned={choice.method === row.method}
              open={open === row.method}
              onOpen={() => setOpen(open === row.method ? null : row.method)}
              onTake={() => take(row.method)}
            />
          ))}
        </tbody>
      </table>
      <NeverList rows={never} planned={choice.method} onKnow={(method) => take(method, true)} />
      {part.stripMethod && (
        <button type="button" className="linklike mt-2 min-h-9" onClick={() => take(undefined)}>
          Back to what is advised
        </button>
      )}
      <Ways piece={piece} part={part} preparation={preparation} />
      <Outcomes piece={piece} part={part} method={choice.method} tried={tried} />
      <BathText piece={piece} />
    </div>
  );
}

function byVerdict(a: StripOption, b: StripOption): number {
  return ORDER.indexOf(a.verdict) - ORDER.indexOf(b.verdict) || a.minutes - b.minutes;
}

/** What a bath asks of the workshop: a tub is not had for the asking. */
function bathText({ bathLitres, fitsTub }: StripOption): string {
  if (bathLitres === undefined || fitsTub) return '';
  return fitsTub === false ? 'does not fit your tub' : `wants a tub of ${Math.max(1, Math.ceil(bathLitres))} L`;
}

function reason(row: StripOption): string {
  return row.because.includes(': ') ? row.because.replace(/^.*?: /, '').replace(/\.$/, '') : '';
}

function MethodRow({
  row,
  longest,
  advised,
  planned,
  open,
  onOpen,
  onTake,
}: {
  row: StripOption;
  longest: number;
  advised: boolean;
  planned: boolean;
  open: boolean;
  onOpen: () => void;
  onTake: () => void;
}) {
  const words = useWords();
  return (
    <>
      <tr className={`border-t border-hairline align-top ${planned ? 'bg-quiet' : ''}`}>
        <td className="py-1.5 pr-3">
          <button
            type="button"
            className="min-h-8 text-left font-[650] text-ink underline-offset-4 hover:underline"
            aria-expanded={open}
            onClick={onOpen}
          >
            {plain(row.method)}
          </button>
          {advised && <span className="second block text-small">advised</span>}
        </td>
        <td className="py-1.5 pr-3 leading-snug sm:w-[190px]">
          <span className="whitespace-nowrap">
            <span aria-hidden>{SHAPES[row.verdict]}</span> {WORDS[row.verdict]}
          </span>
          <span className="second block text-small">{reason(row)}</span>
          {bathText(row) && <span className="second block text-small">{bathText(row)}</span>}
          <span className="second block text-small sm:hidden">
            {row.minutes} min at the bench, {counted(row.days, 'evening')}
          </span>
        </td>
        <td className="w-[190px] py-1.5 pr-3 max-sm:hidden">
          <span aria-hidden className="mt-1.5 flex h-[10px] items-center">
            <span className="block h-full bg-ink" style={{ width: `${Math.max(2, (row.minutes / longest) * 100)}%` }} />
          </span>
          <span className="figure">
            {row.minutes} min{row.waitMinutes > 0 ? `, then ${durationText(row.waitMinutes)} alone` : ''}
          </span>
        </td>
        <td className="figure py-1.5 text-right max-sm:hidden">{row.days}</td>
        <td className="figure py-1.5 pl-3 text-right max-sm:whitespace-normal">{words.money(row.cost, true)}</td>
        <td className="py-1 pl-3 text-right">
          {planned ? (
            <strong className="inline-block py-2">planned</strong>
          ) : (
            <button type="button" className="chip" aria-label={`Take ${plain(row.method)}`} onClick={onTake}>
              Take
            </button>
          )}
        </td>
      </tr>
      {open && (
        <tr className={planned ? 'bg-quiet' : ''}>
          <td colSpan={6} className="pb-3">
            <dl className="grid gap-x-6 gap-y-1 border-l-4 border-hairline pl-3 text-small sm:grid-cols-2">
              <Detail name="Goes on">{counted(row.applications, 'time')}</Detail>
              <Detail name="Dwell">
                {row.dwell
                  ? `first look ${durationText(row.dwell.least)}, usually ${durationText(row.dwell.usual)}, at most ${durationText(row.dwell.most)}`
                  : 'none'}
              </Detail>
              <Detail name="Test patch">{row.testPatch}</Detail>
              <Detail name="Must follow">{row.followUps.join('; ') || 'nothing'}</Detail>
              <Detail name="Rests on">
                the usual table{row.hazards.length > 0 ? `; hazards: ${PRACTICE[row.method].hazards.join(', ')}` : ''}
              </Detail>
            </dl>
          </td>
        </tr>
      )}
    </>
  );
}

function Detail({ name, children }: { name: string; children: React.ReactNode }) {
  return (
    <div className="flex gap-2">
      <dt className="second w-20 shrink-0">{name}</dt>
      <dd>{children}</dd>
    </div>
  );
}

/** What is never done here, each with why; only what ruins the part and nobody else has an "I know". */
function NeverList({
  rows,
  planned,
  onKnow,
}: {
  rows: readonly StripOption[];
  planned: StripMethod | null;
  onKnow: (method: StripMethod) => void;
}) {
  if (rows.length === 0) return null;
  return (
    <section className="mt-3 border-t border-ink pt-2" aria-label="Never here">
      <h3 className="font-[650] text-ink">✕ Never here</h3>
      <ul className="mt-1">
        {rows.map((row) => (
          <li key={row.method} className="flex items-baseline justify-between gap-4 py-0.5">
            <span className="leading-snug">
              <span className="text-ink">{plain(row.method)}</span>
              <span className="second">: {reason(row)}</span>
            </span>
            {planned === row.method ? (
              <strong className="shrink-0">planned: “I know”</strong>
            ) : row.noOverride ? (
              <span className="second shrink-0 text-small">refused</span>
            ) : (
              <button
                type="button"
                className="linklike shrink-0 text-small"
                aria-label={`I know, take ${plain(row.method)}`}
                onClick={() => onKnow(row.method)}
              >
                I know
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function BathText({ piece }: { piece: Piece }) {
  const baths = bathsOf(piece).filter(({ bath }) => bath.together.length + bath.out.length > 1 && bath.together.length > 0);
  if (baths.length === 0) return null;
  return (
    <section className="mt-4" aria-label="In one bath">
      <h3 className="font-[650] text-ink">In one bath</h3>
      {baths.map(({ method, bath }) => (
        <p key={method} className="text-small">
          {plain(method)}: {bath.together.map((own) => own.name).join(', ')}
          {bath.out.length > 0 && (
            <span className="second">
              ; not {bath.out.map(({ part, why }) => `${part.name} (${why.replace(/\.$/, '').toLowerCase()})`).join(', ')}
            </span>
          )}
        </p>
      ))}
    </section>
  );
}
