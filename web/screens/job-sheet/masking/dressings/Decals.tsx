import { DECAL_KINDS, type Decal, type DecalKind, decalSchema, type Part, type Piece } from '#core/facts/index';
import type { Dressing, LayerView } from '#core/plan/index';
import { parseQuantity } from '#core/units/index';
import { decalRefused } from '#core/zones/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../app/useWords.ts';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallCheck, SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { Adding } from '../Adding.tsx';
import { SitsText, type Spot, usualSpot, WhenAndWhere } from './WhenAndWhere.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

const KIND_NAMES: Record<DecalKind, string> = { waterslide: 'waterslide', printed: 'printed at home', vinyl: 'self-adhesive vinyl' };

type Props = { piece: Piece; part: Part; layers: readonly LayerView[]; dressings: readonly Dressing[] };

/** Decals with pairs and spares, in the order they go on; each dries a day before anything goes over it. */
export function Decals({ piece, part, layers, dressings }: Props) {
  const save = usePieceSave();
  const words = useWords();
  const decals = part.decals ?? [];
  const keep = (changed: Decal[], said: string) => void save(withPart(piece, part.id, { decals: changed }), said);
  return (
    <FoldingSheet title="Decals">
      {decals.length === 0 && <p className="second mt-1">Numbers, crests, lines: soaked and slid on, or stuck on, then left a day.</p>}
      <ul className="mt-1">
        {decals.map((decal) => {
          const dressing = dressings.find((own) => own.id === decal.id);
          const after = layers.find((layer) => layer.layerId === decal.after)?.name;
          const above = layers.find((layer) => layer.layerId === dressing?.above?.layerId)?.name;
          return (
            <li key={decal.id} className="flex items-start gap-3 border-b border-hairline py-2">
              <span className="grow">
                <span className="font-[650] text-ink">{decal.name}</span>{' '}
                <span className="second">
                  {decal.count === 2 ? 'a pair, left and right' : `${decal.count} of them`}, {KIND_NAMES[decal.kind]},{' '}
                  {words.length(decal.longMm)} × {words.length(decal.shortMm)}
                  {decal.spare ? ', with a spare' : ', no spare'}, {after ? `after ${after}` : 'before the first layer'}
                  {decal.at ? `; ${decal.at}` : ''}
                </span>
                {dressing && <SitsText {...dressing.below} />}
                {dressing?.above && (
                  <SitsText {...dressing.above} because={`${above ?? 'What comes over it'}: ${dressing.above.because}`} />
                )}
              </span>
              <RemoveButton
                what={decal.name}
                onRemove={() =>
                  keep(
                    decals.filter((own) => own !== decal),
                    'It is out.',
                  )
                }
              />
            </li>
          );
        })}
      </ul>
      <Adding label="Add a decal">
        <AddDecal part={part} layers={layers} onAdd={(decal) => keep([...decals, decal], `${decal.name} is a step of its own.`)} />
      </Adding>
    </FoldingSheet>
  );
}

const COUNTS = [
  { value: '1', label: 'one' },
  { value: '2', label: 'a pair' },
] as const;

const NO_FLAGS = { spare: false, unseen: false };

function AddDecal({ part, layers, onAdd }: { part: Part; layers: readonly LayerView[]; onAdd: (decal: Decal) => void }) {
  const { workshop } = usePlan();
  const [typed, setTyped] = useState({ name: '', long: '', short: '', at: '' });
  const [count, setCount] = useState<(typeof COUNTS)[number]['value']>('2');
  const [kind, setKind] = useState<DecalKind>('waterslide');
  const [flags, setFlags] = useState(NO_FLAGS);
  const [spot, setSpot] = useState<Spot>(() => usualSpot(part, layers));
  const [problem, setProblem] = useState('');
  const add = () => {
    const [long, short] = [typed.long, typed.short].map((text) => parseQuantity(text, 'length', workshop.units.length));
    if (!long.ok) return setProblem(`Its longer side: ${long.mend}`);
    if (!short.ok) return setProblem(`Its shorter side: ${short.mend}`);
    const read = decalSchema.safeParse({
      id: newId(),
      name: typed.name,
      kind,
      count: Number(count),
      spare: flags.spare,
      longMm: Math.max(long.value, short.value),
      shortMm: Math.min(long.value, short.value),
      ...spot,
      ...(typed.at.trim() ? { at: typed.at } : {}),
      ...(flags.unseen ? { unseen: true } : {}),
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    const refused = decalRefused(part, read.data);
    if (refused) return setProblem(refused);
    setProblem('');
    // The next one is another: nothing of this one is taken for it.
    setTyped({ name: '', long: '', short: '', at: '' });
    setCount('2');
    setKind('waterslide');
    setFlags(NO_FLAGS);
    setSpot(usualSpot(part, layers));
    onAdd(read.data);
  };
  const field = (label: string, key: keyof typeof typed, width: string, placeholder: string) => (
    <SmallField
      label={label}
      width={width}
      value={typed[key]}
      placeholder={placeholder}
      onText={(text) => setTyped({ ...typed, [key]: text })}
    />
  );
  return (
    <SmallForm label="Add a decal" problem={problem} onSend={add}>
      {field('what it shows', 'name', '!w-40', 'number 7')}
      {field('longer side', 'long', '!w-24', '8 mm')}
      {field('shorter side', 'short', '!w-24', '5 mm')}
      <SmallSelect label="how many" width="!w-24" value={count} options={COUNTS} onChange={setCount} />
      <SmallSelect
        label="kind"
        width="!w-44"
        value={kind}
        options={DECAL_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
        onChange={setKind}
      />
      <WhenAndWhere part={part} layers={layers} spot={spot} onChange={setSpot} />
      {field('measured from', 'at', '!w-52', '12 mm behind the front door')}
      <SmallCheck label="there is a spare" checked={flags.spare} onChange={(spare) => setFlags({ ...flags, spare })} />
      <SmallCheck label="hardly seen side" checked={flags.unseen} onChange={(unseen) => setFlags({ ...flags, unseen })} />
      <button type="submit" className="act !min-h-10">
        Add it
      </button>
    </SmallForm>
  );
}
