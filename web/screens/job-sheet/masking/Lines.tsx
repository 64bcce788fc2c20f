import { type Curve, curveSchema, type Edge, type Part, type Piece, plain } from '#core/facts/index';
import { fineLineFor } from '#core/masking/index';
import { parseQuantity, typedNumber } from '#core/units/index';
import { dividedPart } from '#core/zones/index';
import { toast } from 'sonner';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { usePieceSave, withPart } from '../pieceChanges.ts';

/** The lines between zones: how long, how they run, what tape they ask for, and a tick for each side that is measured. */
export function Lines({ piece, part }: { piece: Piece; part: Part }) {
  const divided = dividedPart(part);
  const lines = divided.edges.filter(({ mm }) => mm > 0);
  if (lines.length === 0) return null;
  return (
    <section className="mt-4" aria-label="Lines">
      <h3 className="font-[650] text-ink">Lines</h3>
      <ul>
        {lines.map((edge) => (
          <Line key={`${edge.a}${edge.b}`} piece={piece} part={part} edge={edge} names={divided.zones} />
        ))}
      </ul>
    </section>
  );
}

function Line({ piece, part, edge, names }: { piece: Piece; part: Part; edge: Edge; names: Part['zones'] }) {
  const { workshop } = usePlan();
  const words = useWords();
  const save = usePieceSave();
  const name = (id: string) => names.find((zone) => zone.id === id)?.name ?? '';
  const said = `${name(edge.a)} against ${name(edge.b).toLowerCase()}`;
  const isSame = (own: Edge) => (own.a === edge.a && own.b === edge.b) || (own.a === edge.b && own.b === edge.a);
  // What was typed stands as it was typed; what follows from the sizes is said to a tenth of a millimetre.
  const mm = part.edges.some(isSame) ? edge.mm : Math.round(edge.mm * 10) / 10;
  const change = (fields: Partial<Edge>, done: string) => {
    const now = { ...edge, mm, ...fields };
    void save(withPart(piece, part.id, { edges: [...part.edges.filter((own) => !isSame(own)), now] }), done);
  };
  const resize = (text: string) => {
    const read = parseQuantity(text, 'length', workshop.units.length);
    if (!read.ok) return void toast.error(`${said}: ${read.mend}`);
    if (typedNumber(read.value) !== typedNumber(mm))
      change({ mm: read.value }, read.value === 0 ? 'They do not meet.' : 'The tape goes by it.');
  };
  const bend = (text: string) => {
    const read = text.trim() ? parseQuantity(text, 'length', workshop.units.length) : null;
    if (read && (!read.ok || read.value < 0.1)) return void toast.error(`${said}: a radius is at least 0.1 mm.`);
    const radiusMm = read?.ok ? read.value : undefined;
    if (typedNumber(radiusMm ?? 0) !== typedNumber(edge.radiusMm ?? 0)) change({ radiusMm }, 'The tape is as narrow as it asks for.');
  };
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-hairline py-1.5">
      <span className="min-w-44 grow">{said}</span>
      <input
        key={mm}
        className="field !min-h-9 !w-24 text-right font-mono"
        aria-label={`Length of ${said}`}
        defaultValue={words.typedLength(mm)}
        onBlur={(event) => resize(event.target.value)}
      />
      <select
        className="field !min-h-9 !w-32"
        aria-label={`How ${said} runs`}
        value={edge.curve}
        onChange={(event) => change({ curve: event.target.value as Curve }, 'Minutes and tape go by it.')}
      >
        {curveSchema.options.map((curve) => (
          <option key={curve} value={curve}>
            {curve === 'double' ? 'double curve' : plain(curve)}
          </option>
        ))}
      </select>
      <label className="second flex items-center gap-1 text-small">
        radius
        <input
          key={edge.radiusMm ?? 'none'}
          className="field !min-h-9 !w-20 text-right font-mono"
          aria-label={`Smallest radius of ${said}`}
          defaultValue={edge.radiusMm === undefined ? '' : words.typedLength(edge.radiusMm)}
          placeholder="usual"
          onBlur={(event) => bend(event.target.value)}
        />
        {fineLineFor(edge)} mm fine line
      </label>
      <input
        className="field !min-h-9 !w-56"
        aria-label={`Where ${said} runs`}
        defaultValue={edge.runs ?? ''}
        maxLength={120}
        placeholder="18 mm above the sill"
        onBlur={(event) => {
          const runs = event.target.value.trim();
          if (runs !== (edge.runs ?? '')) change({ runs: runs || undefined }, 'Noted: the mask is set out by it.');
        }}
      />
      {piece.parts.length > 1 && (
        <select
          className="field !min-h-9 !w-44"
          aria-label={`Where ${said} runs on`}
          value={edge.runsOnTo ?? ''}
          onChange={(event) =>
            change({ runsOnTo: event.target.value || undefined }, event.target.value ? 'Both are marked mounted.' : 'It ends on this part.')
          }
        >
          <option value="">ends on this part</option>
          {piece.parts
            .filter((own) => own.id !== part.id)
            .map((own) => (
              <option key={own.id} value={own.id}>
                runs on to {own.name.toLowerCase()}
              </option>
            ))}
        </select>
      )}
      {(['left', 'right'] as const).map((side) => (
        <label key={side} className="flex min-h-9 items-center gap-1.5 text-small">
          <input
            type="checkbox"
            className="size-5"
            checked={edge.ticked?.includes(side) ?? false}
            onChange={(event) =>
              change(
                { ticked: event.target.checked ? [...(edge.ticked ?? []), side] : edge.ticked?.filter((own) => own !== side) },
                event.target.checked ? `Measured on the ${side}.` : 'Not measured there yet.',
              )
            }
          />
          {side}
        </label>
      ))}
    </li>
  );
}
