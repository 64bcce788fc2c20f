import { type Material, materialSchema, type OldFinish, type Part, plain } from '#core/facts/index';
import { partAreaCm2, partBeside } from '#core/survey/index';
import { Copy, Plus, Trash2 } from 'lucide-react';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { newId } from '../../../../app/writing/newId.ts';
import { Chips } from '../../../../views/fields/Chips.tsx';
import { Why } from '../../../../views/Why.tsx';
import { duplicatedPart } from '../../../pieces/duplicated.ts';
import { GuessMark, settled } from '../../GuessMark.tsx';
import type { SectionProps } from '../../sectionProps.ts';
import { usePieceSave, withPart } from '../../pieceChanges.ts';
import { PartNature } from './PartNature.tsx';
import { PartTree } from './PartTree.tsx';
import { PartSize } from './PartSize.tsx';
import { ZonesOfPart } from './ZonesOfPart.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const FINISHES: readonly { value: OldFinish; label: string }[] = [
  { value: 'sound', label: 'Sound' },
  { value: 'flaking', label: 'Flaking' },
  { value: 'unknown', label: 'Not known' },
  { value: 'bare', label: 'Bare' },
];

/** Each part in full: what it is, how large, where it belongs, what stays bare. */
export function PartsEditor({ piece }: SectionProps) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const [params, setParams] = useSearchParams();
  const part = piece.parts.find((own) => own.id === params.get('part')) ?? piece.parts[0];
  const choose = (id: string) => setParams({ view: 'parts', part: id }, { replace: true });
  const change = (fields: Partial<Part>, said: string, guess?: string) =>
    void save({ ...withPart(piece, part.id, fields), ...(guess ? { guesses: settled(piece, guess).guesses } : {}) }, said);
  const duplicate = () => {
    const copy: Part = { ...duplicatedPart(part, newId), name: `${part.name} again`.slice(0, 80) };
    void save({ ...piece, parts: [...piece.parts, copy] }, `${part.name} duplicated.`);
    choose(copy.id);
  };
  const add = () => {
    const { part: fresh, guesses } = partBeside(piece, newId);
    void save({ ...piece, guesses: [...piece.guesses, ...guesses], parts: [...piece.parts, fresh] }, 'A part added: say what it is.');
    choose(fresh.id);
  };
  const remove = () => {
    if (piece.parts.length === 1) return toast('A piece keeps at least one part. Remove the piece instead.');
    const logged = facts.events.some((event) => mentions(event, part.id));
    if (logged) return change({ gone: true }, `${part.name} is taken out; what the log has of it is kept.`);
    const rest = piece.parts.filter((own) => own.id !== part.id);
    void save({ ...piece, parts: rest }, `${part.name} removed.`);
    choose(rest[0].id);
  };
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[340px_minmax(0,1fr)]">
      <FoldingSheet title="Parts" className="!p-4">
        <PartTree piece={piece} chosen={part.id} choose={choose} />
        <button type="button" className="act mt-3 !min-h-10" onClick={add}>
          <Plus size={16} aria-hidden /> Add a part
        </button>
      </FoldingSheet>
      <section className="sheet space-y-4" aria-label={part.name} key={part.id}>
        <div className="flex flex-wrap items-center gap-3">
          <input
            className="field !w-56 font-[650]"
            aria-label="Name of the part"
            defaultValue={part.name}
            maxLength={80}
            onBlur={(event) =>
              event.target.value.trim() && event.target.value !== part.name && change({ name: event.target.value.trim() }, 'Renamed.')
            }
          />
          <label className="flex items-center gap-2">
            <span className="second">copies</span>
            <input
              className="field !w-20 font-mono"
              inputMode="numeric"
              defaultValue={part.copies}
              onBlur={(event) => {
                const copies = Number(event.target.value);
                if (!Number.isInteger(copies) || copies < 1 || copies > 200) {
                  event.target.value = String(part.copies);
                  return void toast.error('Copies are a whole number from 1 to 200.');
                }
                if (copies !== part.copies) change({ copies }, 'Counted.');
              }}
            />
          </label>
          <label className="flex items-center gap-2">
            <span className="second">belongs to</span>
            <select
              className="field !w-40"
              value={part.within ?? ''}
              onChange={(event) => change({ within: event.target.value || undefined }, 'Noted.')}
            >
              <option value="">the piece itself</option>
              {piece.parts
                .filter((own) => own.id !== part.id && own.within !== part.id)
                .map((own) => (
                  <option key={own.id} value={own.id}>
                    {own.name}
                  </option>
                ))}
            </select>
          </label>
          <span className="ml-auto flex">
            {part.gone ? (
              <button type="button" className="linklike" onClick={() => change({ gone: undefined }, `${part.name} is back.`)}>
                Bring it back
              </button>
            ) : (
              <>
                <button type="button" className="p-2" aria-label={`Duplicate ${part.name}`} onClick={duplicate}>
                  <Copy size={16} aria-hidden />
                </button>
                <button type="button" className="p-2" aria-label={`Remove ${part.name}`} onClick={remove}>
                  <Trash2 size={16} aria-hidden />
                </button>
              </>
            )}
          </span>
        </div>
        <div className="grid gap-4 md:grid-cols-2">
          <MaterialChoice
            label="Material"
            value={part.material}
            onChange={(material) =>
              material &&
              change({ material }, `${part.name}: ${plain(material)}.`, material === 'unknown' ? undefined : `material:${part.id}`)
            }
          >
            <GuessMark piece={piece} guess={`material:${part.id}`} />
          </MaterialChoice>
          <MaterialChoice
            label="A second material in it"
            none="none: one material"
            value={part.alsoMaterial}
            onChange={(alsoMaterial) =>
              change({ alsoMaterial }, alsoMaterial ? 'The worse verdict of the two holds now.' : 'One material.')
            }
          />
        </div>
        <Chips
          legend="Old paint"
          options={FINISHES}
          value={part.finish}
          onChange={(finish) => change({ finish }, 'Noted.', finish === 'unknown' ? undefined : `finish:${part.id}`)}
        />
        {part.material === 'plated-plastic' && (
          <Chips
            legend="Plating"
            options={PLATINGS}
            value={platingOf(part)}
            onChange={(said) =>
              change(
                { staysPlated: said === 'open' ? undefined : said === 'stays' },
                said === 'stays'
                  ? 'It is only cleaned.'
                  : said === 'goes'
                    ? 'It may be stripped.'
                    : 'Nothing takes it off until you say so.',
              )
            }
          />
        )}
        <div className="flex flex-wrap gap-2">
          <Toggle on={part.printed} label="Printing that stays" onChange={(printed) => change({ printed }, 'Noted.')} />
          {part.material !== 'plated-plastic' && (
            <Toggle
              on={part.staysPlated === true}
              label="Plating that stays"
              onChange={(on) => change({ staysPlated: on || undefined }, on ? 'It is only cleaned.' : 'Noted.')}
            />
          )}
          <Toggle on={part.staysClear} label="Glazing that stays clear" onChange={(staysClear) => change({ staysClear }, 'Noted.')} />
          <Toggle
            on={part.lit === true}
            label="Lit from inside"
            onChange={(on) => change({ lit: on || undefined }, on ? 'Light block first, then white.' : 'Noted.')}
          />
          <Toggle
            on={part.maskedInPlace === true}
            label="Does not come off: masked in place"
            onChange={(on) => change({ maskedInPlace: on || undefined }, on ? 'It goes to masking.' : 'It is worked on itself.')}
          />
        </div>
        <details className="border-t border-hairline pt-2" open={part.finish === 'sound' && part.oldPaint === undefined}>
          <summary className="min-h-9 cursor-pointer font-[650] text-ink">What decides how it is worked: old paint, surface, heat</summary>
          <PartNature part={part} onChange={change} />
        </details>
        <p>
          <Why
            title="Area"
            text={`${part.faces.map((face) => `${face.count} × ${Math.round(face.longMm)} × ${Math.round(face.shortMm)} mm${face.holes ? ` less ${face.holes.count} holes, their walls added` : ''}`).join(', ')}, times ${part.copies}.`}
            source={piece.guesses.includes(`size:${part.id}`) ? 'guess' : 'own'}
          >
            <span className="figure">{Math.round(partAreaCm2(part))} cm²</span>
          </Why>{' '}
          in all <GuessMark piece={piece} guess={`size:${part.id}`} />
          {part.mesh && <span className="second"> from {part.mesh.name}</span>}
        </p>
        <details className="border-t border-hairline pt-2" open={piece.guesses.includes(`size:${part.id}`)}>
          <summary className="min-h-9 cursor-pointer font-[650] text-ink">Measure it: a simple body, holes, or a mesh file</summary>
          <PartSize part={part} onChange={(fields, said) => change(fields, said, `size:${part.id}`)} />
        </details>
        <ZonesOfPart part={part} onChange={change} />
      </section>
    </div>
  );
}

function mentions(event: { kind: string }, partId: string): boolean {
  const { on, partIds, partId: one } = event as { on?: { partId: string }[]; partIds?: string[]; partId?: string };
  return one === partId || partIds?.includes(partId) === true || on?.some((own) => own.partId === partId) === true;
}

function MaterialChoice({
  label,
  none,
  value,
  onChange,
  children,
}: {
  label: string;
  none?: string;
  value: Material | undefined;
  onChange: (material: Material | undefined) => void;
  children?: React.ReactNode;
}) {
  return (
    <div>
      <label className="block">
        <span className="mb-1 block font-[650] text-ink">{label}</span>
        <select
          className="field"
          value={value ?? ''}
          onChange={(event) => onChange((event.target.value || undefined) as Material | undefined)}
        >
          {none && <option value="">{none}</option>}
          {materialSchema.options.map((material) => (
            <option key={material} value={material}>
              {plain(material)}
            </option>
          ))}
        </select>
      </label>
      {children}
    </div>
  );
}

function Toggle({ on, label, onChange }: { on: boolean; label: string; onChange: (on: boolean) => void }) {
  return (
    <button type="button" className="chip !min-h-11" aria-pressed={on} onClick={() => onChange(!on)}>
      {label}
    </button>
  );
}

/** What is said of plating: until somebody says that it goes, nothing that takes it is advised. */
const PLATINGS = [
  { value: 'stays', label: 'stays, only cleaned' },
  { value: 'open', label: 'painted over, kept below' },
  { value: 'goes', label: 'goes' },
] as const;

function platingOf({ staysPlated }: Part): (typeof PLATINGS)[number]['value'] {
  return staysPlated === undefined ? 'open' : staysPlated ? 'stays' : 'goes';
}
