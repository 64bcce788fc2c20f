import { DECAL_KINDS, type Decal, type DecalKind, type Part, type Piece } from '#core/facts/index';
import type { Dressing, LayerView } from '#core/plan/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { useWords } from '../../../../app/useWords.ts';
import { ChangeButton } from '../../../../views/fields/ChangeButton.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { SmallCheck, SmallForm, SmallSelect } from '../../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../../views/typed/useTyped.ts';
import { usePieceSave, withPart } from '../../pieceChanges.ts';
import { Adding } from '../../Adding.tsx';
import { decalAnswersSchema, freshDecal, typedDecal, type TypedDecal } from './decalAnswers.ts';
import { SitsText, usualSpot, WhenAndWhere } from './WhenAndWhere.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const KIND_NAMES: Record<DecalKind, string> = { waterslide: 'waterslide', printed: 'printed at home', vinyl: 'self-adhesive vinyl' };

type Props = { piece: Piece; part: Part; layers: readonly LayerView[]; dressings: readonly Dressing[] };

/** Decals with pairs and spares, in the order they go on; each dries a day before anything goes over it. */
export function Decals({ piece, part, layers, dressings }: Props) {
  const save = usePieceSave();
  const words = useWords();
  const decals = part.decals ?? [];
  const [changing, setChanging] = useState<string | null>(null);
  const keep = (changed: Decal[], said: string) => save(withPart(piece, part.id, { decals: changed }), said);
  const change = async (decal: Decal) => {
    const kept = await keep(
      decals.map((own) => (own.id === decal.id ? decal : own)),
      `${decal.name} is changed.`,
    );
    if (kept) setChanging(null);
    return kept;
  };
  return (
    <FoldingSheet title="Decals">
      {decals.length === 0 && <p className="second mt-1">Numbers, crests, lines: soaked and slid on, or stuck on, then left a day.</p>}
      <ul className="mt-1">
        {decals.map((decal) => {
          const dressing = dressings.find((own) => own.id === decal.id);
          const after = layers.find((layer) => layer.layerId === decal.after)?.name;
          const above = layers.find((layer) => layer.layerId === dressing?.above?.layerId)?.name;
          return (
            <li key={decal.id} className="flex flex-wrap items-start gap-3 border-b border-hairline py-2">
              <span className="min-w-0 flex-1">
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
              <ChangeButton what={decal.name} open={changing === decal.id} onOpen={(open) => setChanging(open ? decal.id : null)} />
              <RemoveButton
                what={decal.name}
                onRemove={() =>
                  void keep(
                    decals.filter((own) => own !== decal),
                    'It is out.',
                  )
                }
              />
              {changing === decal.id && <DecalForm part={part} layers={layers} was={decal} onKeep={change} />}
            </li>
          );
        })}
      </ul>
      <Adding label="Add a decal">
        <DecalForm part={part} layers={layers} onKeep={(decal) => keep([...decals, decal], `${decal.name} is a step of its own.`)} />
      </Adding>
    </FoldingSheet>
  );
}

const COUNTS = [
  { value: '1', label: 'one' },
  { value: '2', label: 'a pair' },
];

type FormProps = { part: Part; layers: readonly LayerView[]; was?: Decal; onKeep: (decal: Decal) => Promise<boolean> };

function DecalForm({ part, layers, was, onKeep }: FormProps) {
  const { workshop } = usePlan();
  const unit = workshop.units.length;
  const form = useTyped<TypedDecal, Decal>(
    decalAnswersSchema(part, unit, was?.id ?? newId()),
    was ? typedDecal(was, unit) : freshDecal(usualSpot(part, layers)),
  );
  const { typed, put, send } = form;
  const counts = COUNTS.some(({ value }) => value === typed.count) ? COUNTS : [...COUNTS, { value: typed.count, label: typed.count }];
  return (
    <SmallForm
      label={was ? `Change ${was.name}` : 'Add a decal'}
      className="flex basis-full flex-wrap items-end gap-3"
      onSend={() => void send(onKeep)}
    >
      <TypedField form={form} of="name" label="what it shows" width="!w-40" placeholder="number 7" />
      <TypedField form={form} of="long" label="longer side" width="!w-24" placeholder="8 mm" />
      <TypedField form={form} of="short" label="shorter side" width="!w-24" placeholder="5 mm" />
      <SmallSelect label="how many" width="!w-24" value={typed.count} options={counts} onChange={(count) => put({ count })} />
      <SmallSelect
        label="kind"
        width="!w-44"
        value={typed.kind}
        options={DECAL_KINDS.map((value) => ({ value, label: KIND_NAMES[value] }))}
        onChange={(kind) => put({ kind })}
      />
      <WhenAndWhere part={part} layers={layers} spot={typed} onChange={({ zoneId, after }) => put({ zoneId, after })} />
      <TypedField form={form} of="at" label="measured from" width="!w-52" placeholder="12 mm behind the front door" />
      <SmallCheck label="there is a spare" checked={typed.spare} onChange={(spare) => put({ spare })} />
      <SmallCheck label="hardly seen side" checked={typed.unseen} onChange={(unseen) => put({ unseen })} />
      <button type="submit" className="act !min-h-10">
        {was ? 'Keep it so' : 'Add it'}
      </button>
    </SmallForm>
  );
}
