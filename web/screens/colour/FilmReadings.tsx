import { knownPaint, PRIMER_SHADES } from '#core/coats/index';
import { colourDifference, hexOf, looksAfter, readColour } from '#core/colour/index';
import { type EventOf, type Product, standingEvents } from '#core/facts/index';
import { counted, toIso } from '#core/units/index';
import { useState } from 'react';
import { logEvents } from '../../app/writing/logging.ts';
import { newId } from '../../app/writing/newId.ts';
import { nowMinute, usePlan } from '../../app/plan/PlanContext.tsx';
import { useOneAtATime } from '../../app/writing/useOneAtATime.ts';
import { RemoveButton } from '../../views/fields/RemoveButton.tsx';
import { SmallField, SmallForm, SmallSelect } from '../../views/fields/SmallField.tsx';
import { FoldingSheet } from '../../views/folding/FoldingSheet.tsx';

const COATS = ['1', '2', '3', '4', '5', '6'] as const;

/** Dried films of a paint as they were read: evidence for its colour and its strength from then on. */
export function FilmReadings({ product }: { product: Product }) {
  const { facts } = usePlan();
  const known = knownPaint(product, facts);
  const readings = standingEvents(facts.events).filter(
    (event): event is EventOf<'colour-read'> => event.kind === 'colour-read' && event.productId === product.id,
  );
  return (
    <FoldingSheet title="What its films have shown">
      <p className="second mt-1">
        {known.fit
          ? `Colour and hiding are fitted to ${counted(known.fit.readings, 'reading')}: plans and mixes go by them.`
          : 'Read a dried tile, or the piece itself, after one coat and after two: plans and mixes then go by what this paint does here.'}
      </p>
      <ul className="mt-2">
        {readings.map((event) => {
          const reckoned = looksAfter(event.groundLab, { ...known, transparent: product.transparent }, event.coats);
          return (
            <li key={event.id} className="flex flex-wrap items-center gap-3 border-b border-hairline py-2">
              <span aria-hidden className="block size-9 border border-[#8c8c8c]" style={{ background: hexOf(event.groundLab) }} />
              <span aria-hidden className="block h-9 w-14 border border-[#8c8c8c]" style={{ background: hexOf(event.lab) }} />
              <span className="min-w-0 flex-1">
                {counted(event.coats, 'coat')}; now reckoned ΔE {colourDifference(reckoned, event.lab).toFixed(1)} from it
              </span>
              <RemoveButton
                what={`the reading after ${counted(event.coats, 'coat')}`}
                onRemove={() => void logEvents([{ id: newId(), at: toIso(nowMinute()), kind: 'undo', undoes: event.id }])}
              />
            </li>
          );
        })}
      </ul>
      <AddReading product={product} />
    </FoldingSheet>
  );
}

function AddReading({ product }: { product: Product }) {
  const [coats, setCoats] = useState<(typeof COATS)[number]>('1');
  const [ground, setGround] = useState('white');
  const [typed, setTyped] = useState({ ground: '', lab: '' });
  const [problem, setProblem] = useState('');
  const { busy, once } = useOneAtATime();
  const add = async () => {
    const lab = readColour(typed.lab);
    const below = ground === 'other' ? readColour(typed.ground) : { ok: true as const, lab: groundLab(ground) };
    if (!below.ok) return setProblem(`The ground: ${below.mend}`);
    if (!lab.ok) return setProblem(lab.mend);
    setProblem('');
    await logEvents([
      {
        id: newId(),
        at: toIso(nowMinute()),
        kind: 'colour-read',
        productId: product.id,
        coats: Number(coats),
        groundLab: below.lab,
        lab: lab.lab,
      },
    ]);
    setTyped({ ground: '', lab: '' });
  };
  return (
    <SmallForm label="Add a reading" problem={problem} onSend={() => once(add)}>
      <SmallSelect
        label="coats"
        width="!w-20"
        value={coats}
        options={COATS.map((value) => ({ value, label: value }))}
        onChange={setCoats}
      />
      <SmallSelect
        label="over"
        width="!w-32"
        value={ground}
        options={[...PRIMER_SHADES.map(({ name }) => ({ value: name, label: `${name} primer` })), { value: 'other', label: 'another' }]}
        onChange={setGround}
      />
      {ground === 'other' && (
        <SmallField
          label="its ground"
          width="!w-36 font-mono"
          value={typed.ground}
          onText={(text) => setTyped({ ...typed, ground: text })}
        />
      )}
      <SmallField
        label="as it looks, dry: hex or L a b"
        width="!w-44 font-mono"
        value={typed.lab}
        onText={(lab) => setTyped({ ...typed, lab })}
      />
      <button type="submit" className="act !min-h-10" disabled={busy}>
        Add it
      </button>
    </SmallForm>
  );
}

function groundLab(name: string) {
  return PRIMER_SHADES.find((shade) => shade.name === name)?.lab ?? PRIMER_SHADES[0].lab;
}
