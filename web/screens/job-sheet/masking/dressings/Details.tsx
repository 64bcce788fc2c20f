import { shelfCans } from '#core/buying/index';
import { knownPaint } from '#core/coats/index';
import { labOf, PALETTE } from '#core/colour/index';
import {
  DETAIL_WAYS,
  type Detail,
  type DetailWay,
  detailSchema,
  FAMILIES,
  type Facts,
  type Family,
  type Part,
  type Piece,
  plain,
  type Product,
  type Sheet,
} from '#core/facts/index';
import type { Dressing, LayerView } from '#core/plan/index';
import { parseNumber } from '#core/units/index';
import { useState } from 'react';
import { newId } from '../../../app/writing/newId.ts';
import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { PaintStrip } from '../../../views/drawn/paint.tsx';
import { RemoveButton } from '../../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm, SmallSelect } from '../../../views/fields/SmallField.tsx';
import { usePieceSave, withPart } from '../pieceChanges.ts';
import { Adding } from '../Adding.tsx';
import { SitsText, type Spot, usualSpot, WhenAndWhere } from './WhenAndWhere.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

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
  const keep = (changed: Detail[], said: string) => void save(withPart(piece, part.id, { details: changed }), said);
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
              keep(
                details.filter((own) => own !== detail),
                'It is out.',
              )
            }
          />
        ))}
      </ul>
      <Adding label="Add a detail">
        <AddDetail part={part} layers={layers} onAdd={(detail) => keep([...details, detail], `${detail.name} is a step of its own.`)} />
      </Adding>
    </FoldingSheet>
  );
}

function DetailRow({
  detail,
  layers,
  dressing,
  onRemove,
}: {
  detail: Detail;
  layers: readonly LayerView[];
  dressing: Dressing | undefined;
  onRemove: () => void;
}) {
  const after = layers.find((layer) => layer.layerId === detail.after)?.name;
  const above = layers.find((layer) => layer.layerId === dressing?.above?.layerId)?.name;
  return (
    <li className="flex items-start gap-3 border-b border-hairline py-2">
      <PaintStrip lab={detail.lab} className="mt-1 h-6 w-[10px]" />
      <span className="grow">
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
      <RemoveButton what={detail.name} onRemove={onRemove} />
    </li>
  );
}

const USUAL_FAMILY: Family = 'alcohol-acrylic';
const USUAL_HEX = PALETTE[12].hex;

function AddDetail({ part, layers, onAdd }: { part: Part; layers: readonly LayerView[]; onAdd: (detail: Detail) => void }) {
  const [typed, setTyped] = useState({ name: '', count: '1', minutes: '' });
  const [way, setWay] = useState<DetailWay>('brush');
  const [family, setFamily] = useState<Family>(USUAL_FAMILY);
  const [hex, setHex] = useState<string>(USUAL_HEX);
  const [spot, setSpot] = useState<Spot>(() => usualSpot(part, layers));
  const [productId, setProductId] = useState('');
  const [problem, setProblem] = useState('');
  const { facts } = usePlan();
  const own = paintsForDetails(facts);
  const paint = own.find(({ product }) => product.id === productId);
  const add = () => {
    const read = detailSchema.safeParse({
      id: newId(),
      name: typed.name,
      count: Number(typed.count),
      way,
      family: paint?.sheet.family ?? family,
      lab: paint ? knownPaint(paint.product, facts).lab : labOf(hex),
      ...(paint ? { productId: paint.product.id } : {}),
      ...spot,
      ...(typed.minutes.trim() ? { minutesEach: parseNumber(typed.minutes) ?? Number.NaN } : {}),
    });
    if (!read.success) return setProblem(read.error.issues[0].message);
    setProblem('');
    // The next one is another: nothing of this one is taken for it.
    setTyped({ name: '', count: '1', minutes: '' });
    setWay('brush');
    setFamily(USUAL_FAMILY);
    setHex(USUAL_HEX);
    setProductId('');
    setSpot(usualSpot(part, layers));
    onAdd(read.data);
  };
  return (
    <SmallForm label="Add a detail" problem={problem} onSend={add}>
      <SmallField
        label="what is picked out"
        width="!w-56"
        value={typed.name}
        placeholder="window frames, silver"
        onText={(name) => setTyped({ ...typed, name })}
      />
      <SmallField
        label="how many"
        width="!w-16 font-mono"
        inputMode="numeric"
        value={typed.count}
        onText={(count) => setTyped({ ...typed, count })}
      />
      <SmallField
        label="min each"
        width="!w-20 font-mono"
        inputMode="decimal"
        value={typed.minutes}
        placeholder="usual"
        onText={(minutes) => setTyped({ ...typed, minutes })}
      />
      <SmallSelect
        label="how"
        width="!w-40"
        value={way}
        options={DETAIL_WAYS.map((value) => ({ value, label: WAY_NAMES[value] }))}
        onChange={setWay}
      />
      {own.length > 0 && (
        <SmallSelect
          label="from the shelf"
          width="!w-52"
          value={productId}
          options={[{ value: '', label: 'another paint' }, ...own.map(({ product }) => ({ value: product.id, label: product.name }))]}
          onChange={setProductId}
        />
      )}
      {!paint && (
        <>
          <SmallSelect
            label="paint"
            width="!w-48"
            value={family}
            options={BRUSHED.map((value) => ({ value, label: plain(value) }))}
            onChange={setFamily}
          />
          <SmallSelect
            label="colour"
            width="!w-32"
            value={hex}
            options={PALETTE.map((own) => ({ value: own.hex, label: own.name }))}
            onChange={setHex}
          />
        </>
      )}
      <WhenAndWhere part={part} layers={layers} spot={spot} onChange={setSpot} />
      <button type="submit" className="act !min-h-10">
        Add it
      </button>
    </SmallForm>
  );
}

/** Colours of the shelf that a brush can take, mixes among them. */
function paintsForDetails(facts: Facts): { product: Product; sheet: Sheet }[] {
  return facts.products.flatMap((product) => {
    const sheet = facts.sheets.find((one) => one.id === product.sheetId);
    const brushed = sheet && sheet.hand !== 'aerosol' && (sheet.role === 'colour' || sheet.role === 'metallic');
    return brushed && shelfCans(facts).some((can) => can.productId === product.id && can.leftMl > 0) ? [{ product, sheet }] : [];
  });
}
