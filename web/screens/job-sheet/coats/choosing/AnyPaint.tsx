import { roleOf } from '#core/coats/index';
import { type NamedColour, namedColour, readColour } from '#core/colour/index';
import { type Family, type Flake, FLAKES, type Layer, type Piece } from '#core/facts/index';
import { useState } from 'react';
import { PaintStrip } from '../../../../views/drawn/paint.tsx';
import { FormProblem, SmallField, SmallSelect } from '../../../../views/fields/SmallField.tsx';
import { SwatchPicker } from '../../../../views/fields/SwatchPicker.tsx';

/** A colour that is wanted before any paint is chosen for it. */
export type AnyColour = NamedColour & { readonly transparent?: boolean; readonly targetId?: string };

type Kind = 'solid' | Flake | 'transparent';
const KINDS: readonly { readonly value: Kind; readonly label: string }[] = [
  { value: 'solid', label: 'solid' },
  ...FLAKES.map((value) => ({ value, label: value === 'chrome' ? 'chrome-like' : value })),
  { value: 'transparent', label: 'transparent' },
];

/** What a layer wants of such a colour: its own family, but a transparent one is a candy. */
export function wantedOf({ transparent, targetId: _target, ...colour }: AnyColour, family: Family): NonNullable<Layer['wanted']> {
  return { family: transparent ? 'candy' : family, role: roleOf(colour), ...colour };
}

/** Any paint of a colour: a swatch, what the piece is to have, or a colour as it was read. */
export function AnyPaint({ piece, onTake }: { piece: Piece; onTake: (colour: AnyColour) => void }) {
  const [typed, setTyped] = useState('');
  const [kind, setKind] = useState<Kind>('solid');
  const [problem, setProblem] = useState('');
  const take = () => {
    const answer = readColour(typed);
    if (!answer.ok) return setProblem(answer.mend);
    setProblem('');
    onTake({
      name: typed.trim(),
      lab: answer.lab,
      ...(kind === 'transparent' ? { transparent: true } : kind === 'solid' ? {} : { flake: kind }),
    });
  };
  return (
    <div className="mb-3">
      <p className="mb-1 font-[650]">Any paint of this colour</p>
      <SwatchPicker chosen={[]} most={1} onChange={([hex]) => hex && onTake(namedColour(hex))} />
      {(piece.targets ?? []).map(({ id, name, lab }) => (
        <button key={id} type="button" className="chip mt-2 mr-2 !min-h-10" onClick={() => onTake({ name, lab, targetId: id })}>
          <PaintStrip lab={lab} className="h-6 w-[10px]" /> {name}
        </button>
      ))}
      {/* A form of its own would lie within the page's; Enter takes it all the same. */}
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <SmallField
          label="as it was read, hex or L a b"
          width="!w-40 font-mono"
          value={typed}
          onText={setTyped}
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            take();
          }}
        />
        <SmallSelect label="it is" width="!w-32" value={kind} options={KINDS} onChange={setKind} />
        <button type="button" className="chip !min-h-10" onClick={take}>
          Take it
        </button>
        <FormProblem text={problem} />
      </div>
    </div>
  );
}
