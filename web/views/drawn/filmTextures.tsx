import type { LineState } from '#core/bench/index';

/** The five textures of a film: wet dots, open outline, shut diagonals, tape-safe light grey, cured mid grey. */
export function FilmPatterns({ dark = false }: { dark?: boolean }) {
  const ink = dark ? '#f4f4f4' : 'var(--hatch)';
  return (
    <defs>
      <pattern id="film-wet" width="6" height="6" patternUnits="userSpaceOnUse">
        <circle cx="3" cy="3" r="1.5" fill={ink} />
      </pattern>
      <pattern id="film-shut" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <line x1="0" y1="0" x2="0" y2="7" stroke={ink} strokeWidth="1.4" />
      </pattern>
      <pattern id="metal" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(30)">
        <rect width="6" height="6" fill="#b9b9b9" />
        <line x1="0" y1="0" x2="0" y2="6" stroke="#9a9a9a" strokeWidth="1.2" />
      </pattern>
    </defs>
  );
}

export function filmFill(state: LineState, dark = false): { fill: string; stroke: string } {
  const ink = dark ? '#f4f4f4' : 'var(--ink)';
  const edge = dark ? '#777777' : '#9b9b9b';
  return {
    wet: { fill: 'url(#film-wet)', stroke: edge },
    open: { fill: dark ? '#ffffff' : 'var(--sheet)', stroke: ink },
    shut: { fill: 'url(#film-shut)', stroke: edge },
    'tape-safe': { fill: dark ? '#8a8a8a' : '#c8c8c8', stroke: '#aaaaaa' },
    cured: { fill: dark ? '#5c5c5c' : '#a6a6a6', stroke: '#8f8f8f' },
  }[state];
}

export const STATE_WORDS: Record<LineState, string> = {
  wet: 'wet',
  open: 'may be coated',
  shut: 'shut: wait',
  'tape-safe': 'dry, tape-safe',
  cured: 'cured',
};
