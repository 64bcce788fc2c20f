import { Check } from 'lucide-react';

/** Named colours to choose from; invented names, plain hues. */
export const PALETTE: readonly { readonly name: string; readonly hex: string }[] = [
  { name: 'white', hex: '#f4f4f0' },
  { name: 'cream', hex: '#e6dcc0' },
  { name: 'sand', hex: '#c9b48a' },
  { name: 'yellow', hex: '#e8b820' },
  { name: 'orange', hex: '#d8702a' },
  { name: 'red', hex: '#c23a2a' },
  { name: 'maroon', hex: '#6e2430' },
  { name: 'brown', hex: '#6b4a30' },
  { name: 'light green', hex: '#7fa36b' },
  { name: 'green', hex: '#2c6b3a' },
  { name: 'light blue', hex: '#7fb0cc' },
  { name: 'blue', hex: '#1d4b78' },
  { name: 'light grey', hex: '#a9adb0' },
  { name: 'dark grey', hex: '#3c4146' },
  { name: 'black', hex: '#1e1f20' },
];

/** Choose up to `most` colours, in order; pressing one again takes it out. */
export function SwatchPicker({ chosen, most, onChange }: { chosen: readonly string[]; most: number; onChange: (hexes: string[]) => void }) {
  return (
    <div className="flex flex-wrap gap-2">
      {PALETTE.map(({ name, hex }) => {
        const place = chosen.indexOf(hex);
        const dark = ['#6e2430', '#6b4a30', '#2c6b3a', '#1d4b78', '#3c4146', '#1e1f20', '#c23a2a'].includes(hex);
        return (
          <button
            key={hex}
            type="button"
            aria-pressed={place >= 0}
            aria-label={place >= 0 ? `${name}, colour ${place + 1}` : name}
            title={name}
            onClick={() =>
              onChange(
                place >= 0 ? chosen.filter((own) => own !== hex) : chosen.length < most ? [...chosen, hex] : [...chosen.slice(0, -1), hex],
              )
            }
            className={`grid size-11 place-items-center rounded-[3px] border ${place >= 0 ? 'border-2 border-ink outline-2 outline-offset-1 outline-ink' : 'border-black/30'} ${dark ? 'text-white' : 'text-black'}`}
            style={{ background: hex }}
          >
            {place >= 0 && (most > 1 ? <span className="font-mono text-lead">{place + 1}</span> : <Check size={20} aria-hidden />)}
          </button>
        );
      })}
    </div>
  );
}

export function colourName(hex: string): string {
  return PALETTE.find((entry) => entry.hex === hex)?.name ?? hex;
}
