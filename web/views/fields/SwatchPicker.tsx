import { labOf, PALETTE } from '#core/colour/index';
import { Check } from 'lucide-react';

/** Below this lightness a mark on it is white. */
const DARK = 48;

/** Choose up to `most` colours, in order; pressing one again takes it out. */
export function SwatchPicker({ chosen, most, onChange }: { chosen: readonly string[]; most: number; onChange: (hexes: string[]) => void }) {
  return (
    <div className="flex flex-wrap gap-2">
      {PALETTE.map(({ name, hex, edgeHex }) => {
        const place = chosen.indexOf(hex);
        const dark = labOf(hex).l < DARK;
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
            style={{ background: edgeHex ? `linear-gradient(115deg, ${edgeHex}, ${hex} 45%, ${edgeHex})` : hex }}
          >
            {place >= 0 && (most > 1 ? <span className="font-mono text-lead">{place + 1}</span> : <Check size={20} aria-hidden />)}
          </button>
        );
      })}
    </div>
  );
}
