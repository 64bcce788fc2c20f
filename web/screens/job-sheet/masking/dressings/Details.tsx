import { shelfCans } from '#core/buying/index';
import { PALETTE } from '#core/colour/index';
import {
  DETAIL_WAYS,
  type Detail,
  type DetailWay,
  FAMILIES,
  type Facts,
  type Family,
  type Part,
  type Piece,
  plain,
  type Product,
} from '#core/facts/index';
import type { Dressing, LayerView } from '#core/plan/index';
import { useState } from 'react';
import { newId } from '../../../../app/writing/newId.ts';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { PaintStrip } from '../../../../views/drawn/paint.tsx';
import { ChangeButton } from '../../../../views/fields/ChangeButton.tsx';
import { RemoveButton } from '../../../../views/fields/RemoveButton.tsx';
import { SmallForm, SmallSelect } from '../../../../views/fields/SmallField.tsx';
import { TypedField } from '../../../../views/typed/TypedField.tsx';
import { useTyped } from '../../../../views/typed/useTyped.ts';
import { usePieceSave, withPart } from '../../pieceChanges.ts';
import { Adding } from '../../Adding.tsx';
import { detailAnswersSchema, freshDetail, SAME_COLOUR, typedDetail, type TypedDetail } from './detailAnswers.ts';
import { SitsText, usualSpot, WhenAndWhere } from './WhenAndWhere.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

const WAY_NAMES: Record<DetailWay, string> = {
  brush: 'by brush',
  pen: 'by pen',
  'small-mask': 'by a small mask',
  wash: 'a wash',
  'wipe-back': 'wiped back',
  'worn-edge': 'worn edges',
  drybrush: 'drybrushed',
};

/** Paints that are brushed and penned in a home workshop. */
const BRUSHED: readonly Family[] = FAMILIES.filter((family) =>
  ['alcohol-acrylic', 'water-acrylic', 'alkyd-enamel', 'acrylic-lacquer', 'acrylic-enamel'].includes(family),
);

type Props = { piece: Piece; part: Part; layers: readonly LayerView[]; dressings: readonly Dressing[] };

/** Trim picked out by hand, washes, wiped and worn effects: each with how it sits below and under what comes over it. */
export function Details({ piece, part, layers, dressings }: Props) {
  const save = usePieceSave();
  const details = part.details ?? [];
  const [changing, setChanging] = useState<string | null>(null);
  const keep = (changed: Detail[], said: string) => save(withPart(piece, part.id, { details: changed }), said);
  const change = async (detail: Detail) => {
    const kept = await keep(
      details.map((own) => (own.id === detail.id ? detail : own)),
      `${detail.name} is changed.`,
    );
    if (kept) setChanging(null);
    return kept;
  };
  return (
    <FoldingSheet title="Picked out by hand">
      {details.length === 0 && <p className="second mt-1">Trim, lettering, washes, worn edges: each is a short step between two layers.</p>}
      <ul className="mt-1">
        {details.map((detail) => (
          <DetailRow
            key={detail.id}
            detail={detail}
            layers={layers}
            dressing={dressings.find((own) => own.id === detail.id)}
            onRemove={() =>
              void keep(
                details.filter((own) => own !== detail),
                'It is out.',
              )
            }
            open={changing === detail.id}
            onOpen={(open) => setChanging(open ? detail.id : null)}
          >
            <DetailForm part={part} layers={layers} was={detail} onKeep={change} />
          </DetailRow>
        ))}
      </ul>
      <Adding label="Add a detail">
        <DetailForm part={part} layers={layers} onKeep={(detail) => keep([...details, detail], `${detail.name} is a step of its own.`)} />
      </Adding>
    </FoldingSheet>
  );
}

function DetailRow({
  detail,
  layers,
  dressing,
  onRemove,
  open,
  onOpen,
  children,
}: {
  detail: Detail;
  layers: readonly LayerView[];
  dressing: Dressing | undefined;
  onRemove: () => void;
  open: boolean;
  onOpen: (open: boolean) => void;
  /** The form it is changed with. */
  children: React.ReactNode;
}) {
  const after = layers.find((layer) => layer.layerId === detail.after)?.name;
  const above = layers.find((layer) => layer.layerId === dressing?.above?.layerId)?.name;
  return (
    <li className="flex flex-wrap items-start gap-3 border-b border-hairline py-2">
      <PaintStrip lab={detail.lab} className="mt-1 h-6 w-[10px]" />
      <span className="min-w-0 flex-1">
        <span className="font-[650] text-ink">
          {detail.name}
          {detail.count > 1 ? ` × ${detail.count}` : ''}
        </span>{' '}
        <span className="second">
          {WAY_NAMES[detail.way]}, {plain(detail.family)}, {after ? `after ${after}` : 'before the first layer'}
        </span>
        {dressing && <SitsText {...dressing.below} />}
        {dressing?.above && <SitsText {...dressing.above} because={`${above ?? 'What comes over it'}: ${dressing.above.because}`} />}
      </span>
      <ChangeButton what={detail.name} open={open} onOpen={onOpen} />
      <RemoveButton what={detail.name} onRemove={onRemove} />
      {open && children}
    </li>
  );
}

type FormProps = { part: Part; layers: readonly LayerView[]; was?: Detail; onKeep: (detail: Detail) => Promise<boolean> };

function DetailForm({ part, layers, was, onKeep }: FormProps) {
  const { facts } = usePlan();
  const form = useTyped<TypedDetail, Detail>(
    detailAnswersSchema(facts, was?.id ?? newId(), was),
    was ? typedDetail(was) : freshDetail(usualSpot(part, layers)),
  );
  const { typed, put, send } = form;
  const own = paintsForDetails(facts, was?.productId);
  return (
    <SmallForm
      label={was ? `Change ${was.name}` : 'Add a detail'}
      className="flex basis-full flex-wrap items-end gap-3"
      onSend={() => void send(onKeep)}
    >
      <TypedField form={form} of="name" label="what is picked out" width="!w-56" placeholder="window frames, silver" />
      <TypedField form={form} of="count" label="how many" width="!w-16 font-mono" inputMode="numeric" />
      <TypedField form={form} of="minutes" label="min each" width="!w-20 font-mono" inputMode="decimal" placeholder="usual" />
      <SmallSelect
        label="how"
        width="!w-40"
        value={typed.way}
        options={DETAIL_WAYS.map((value) => ({ value, label: WAY_NAMES[value] }))}
        onChange={(way) => put({ way })}
      />
      {own.length > 0 && (
        <SmallSelect
          label="from the shelf"
          width="!w-52"
          value={typed.productId}
          options={[{ value: '', label: 'another paint' }, ...own.map(({ id, name }) => ({ value: id, label: name }))]}
          onChange={(productId) => put({ productId })}
        />
      )}
      {typed.productId === '' && (
        <>
          <SmallSelect
            label="paint"
            width="!w-48"
            value={typed.family}
            options={familiesWith(typed.family).map((value) => ({ value, label: plain(value) }))}
            onChange={(family) => put({ family })}
          />
          <SmallSelect
            label="colour"
            width="!w-32"
            value={typed.colour}
            options={[
              ...PALETTE.map(({ hex, name }) => ({ value: hex, label: name })),
              ...(typed.colour === SAME_COLOUR ? [{ value: SAME_COLOUR, label: SAME_COLOUR }] : []),
            ]}
            onChange={(colour) => put({ colour })}
          />
        </>
      )}
      <WhenAndWhere part={part} layers={layers} spot={typed} onChange={({ zoneId, after }) => put({ zoneId, after })} />
      <button type="submit" className="act !min-h-10">
        {was ? 'Keep it so' : 'Add it'}
      </button>
    </SmallForm>
  );
}

function familiesWith(now: Family): readonly Family[] {
  return BRUSHED.includes(now) ? BRUSHED : [...BRUSHED, now];
}

/** Colours of the shelf that a brush can take, mixes among them, and the one that was said already. */
function paintsForDetails(facts: Facts, said: string | undefined): readonly Product[] {
  return facts.products.filter((product) => {
    const sheet = facts.sheets.find((one) => one.id === product.sheetId);
    const brushed = sheet && sheet.hand !== 'aerosol' && (sheet.role === 'colour' || sheet.role === 'metallic');
    const there = shelfCans(facts).some((can) => can.productId === product.id && can.leftMl > 0);
    return product.id === said || (brushed && there);
  });
}
