import { typicalPack } from '#core/buying/index';
import { labOf } from '#core/colour/index';
import type { Family, Hand, Role } from '#core/facts/index';
import { parseNumber, parseQuantity, toIso } from '#core/units/index';
import { Plus } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { nowMinute, usePlan } from '../../app/PlanContext.tsx';
import { newId, useSaving } from '../../app/useFacts.ts';
import { Chips } from '../../views/Chips.tsx';
import { colourName, SwatchPicker } from '../../views/SwatchPicker.tsx';

const USES: readonly { value: Role; label: string }[] = [
  { value: 'fine-primer', label: 'Primer' },
  { value: 'filler-primer', label: 'Filler primer' },
  { value: 'colour', label: 'Colour' },
  { value: 'metallic', label: 'Metallic' },
  { value: 'clear', label: 'Clear' },
];

type Thinner = { readonly value: string; readonly label: string; readonly family: (role: Role) => Family; readonly hand: Hand };
const THINNERS: readonly Thinner[] = [
  {
    value: 'lacquer-can',
    label: 'Spray can, lacquer thinner',
    family: (role) => (role.endsWith('primer') ? 'lacquer-primer' : 'acrylic-lacquer'),
    hand: 'aerosol',
  },
  { value: 'enamel-can', label: 'Spray can, enamel', family: () => 'acrylic-enamel', hand: 'aerosol' },
  { value: 'spirit', label: 'Mineral spirit', family: () => 'alkyd-enamel', hand: 'brush' },
  { value: 'alcohol', label: 'Alcohol or its own', family: () => 'alcohol-acrylic', hand: 'airbrush' },
  { value: 'water', label: 'Water', family: () => 'water-acrylic', hand: 'airbrush' },
  { value: 'hardener', label: 'Comes with hardener', family: () => 'urethane-2k', hand: 'aerosol' },
  { value: 'unknown', label: 'Not known', family: () => 'unknown', hand: 'aerosol' },
];

/** A can in three presses and a volume: what for, thinned or cleaned with, colour. */
export function AddCan() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  const [open, setOpen] = useState(false);
  const [role, setRole] = useState<Role>('colour');
  const [thinner, setThinner] = useState<string | undefined>(undefined);
  const [swatch, setSwatch] = useState<string[]>([]);
  const [volume, setVolume] = useState('');
  const [left, setLeft] = useState('');
  const [paid, setPaid] = useState('');
  const [name, setName] = useState('');
  const [problem, setProblem] = useState('');
  const [busy, setBusy] = useState(false);

  const add = async () => {
    const kind = THINNERS.find((option) => option.value === thinner);
    if (!kind) return setProblem('Say what it is thinned or cleaned with: that tells its family.');
    if (swatch.length === 0 && role !== 'clear') return setProblem('Choose the swatch nearest to its colour.');
    const pack = parseQuantity(volume, 'volume', workshop.units.volume);
    if (!pack.ok) return setProblem(pack.mend);
    if (pack.value <= 0) return setProblem('The volume must be above 0 mL.');
    const rest = left.trim() ? parseQuantity(left, 'volume', workshop.units.volume) : pack;
    if (!rest.ok) return setProblem(rest.mend);
    const price = paid.trim() ? parseNumber(paid) : null;
    if (paid.trim() && (price === null || price < 0)) return setProblem('A price is a sum of money, such as 8,90.');
    const family = kind.family(role);
    const hex = swatch[0] ?? '#f4f4f0';
    const title =
      name.trim() || (role === 'clear' ? 'clear' : `${colourName(hex)} ${role === 'colour' ? 'paint' : role.replace('-', ' ')}`);
    const [sheetId, productId] = [newId(), newId()];
    const usual = typicalPack(family, role).price;
    setBusy(true);
    const saved =
      (await save('sheets', {
        id: sheetId,
        name: title,
        family,
        role,
        hand: kind.hand,
        forPlastics: false,
        isocyanate: family === 'urethane-2k',
        label: {},
        source: 'default',
      })) &&
      (await save('products', {
        id: productId,
        sheetId,
        name: title,
        lab: labOf(hex),
        transparent: false,
        typicalMl: pack.value,
        typicalPrice: price !== null ? Math.round(price * 100) : usual,
      })) &&
      (await save(
        'cans',
        {
          id: newId(),
          productId,
          packMl: pack.value,
          leftMl: rest.value,
          leftAt: toIso(nowMinute()),
          opened: rest.value < pack.value,
          paid: price !== null ? Math.round(price * 100) : 0,
        },
        `${title} stands on the shelf.`,
      ));
    setBusy(false);
    if (!saved) return;
    setOpen(false);
    setProblem('');
    setSwatch([]);
    setThinner(undefined);
    for (const clear of [setVolume, setLeft, setPaid, setName]) clear('');
  };
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <button type="button" className="act" data-first="true">
          <Plus size={18} aria-hidden /> Enter a can
        </button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="sheet fixed top-10 left-1/2 max-h-[88vh] w-[720px] max-w-[94vw] -translate-x-1/2 overflow-auto"
        >
          <Dialog.Title className="!text-title font-[750] text-ink">Enter a can</Dialog.Title>
          <form
            className="mt-4 space-y-4"
            onSubmit={(event) => {
              event.preventDefault();
              void add();
            }}
          >
            <Chips legend="1 What is it for?" options={USES} value={role} onChange={setRole} />
            <Chips legend="2 Thinned or cleaned with" options={THINNERS} value={thinner} onChange={setThinner} />
            <fieldset>
              <legend className="mb-2 font-[650] text-ink">3 Colour</legend>
              <SwatchPicker chosen={swatch} most={1} onChange={setSwatch} />
            </fieldset>
            <div className="grid grid-cols-[1fr_1fr_1fr] gap-3">
              <label>
                <span className="mb-1 block font-[650] text-ink">Volume</span>
                <input
                  className="field font-mono"
                  value={volume}
                  placeholder="400 mL"
                  onChange={(event) => setVolume(event.target.value)}
                />
              </label>
              <label>
                <span className="second mb-1 block">Left, if not full</span>
                <input className="field font-mono" value={left} onChange={(event) => setLeft(event.target.value)} />
              </label>
              <label>
                <span className="second mb-1 block">Paid, {workshop.currency}</span>
                <input className="field font-mono" inputMode="decimal" value={paid} onChange={(event) => setPaid(event.target.value)} />
              </label>
            </div>
            <label className="block">
              <span className="second mb-1 block">Name on the label, if you like</span>
              <input className="field" value={name} maxLength={80} onChange={(event) => setName(event.target.value)} />
            </label>
            <p role="alert" className="min-h-6 font-[650]">
              {problem}
            </p>
            <div className="flex gap-3">
              <button type="submit" className="act" data-first="true" disabled={busy}>
                Put it on the shelf
              </button>
              <Dialog.Close asChild>
                <button type="button" className="act">
                  Not now
                </button>
              </Dialog.Close>
            </div>
          </form>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
