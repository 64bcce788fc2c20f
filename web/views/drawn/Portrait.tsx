import type { LooksLike, PortraitName } from '#core/facts/index';
import type { ReactNode } from 'react';

/** A simple drawn portrait of a piece by what it looks like, in its own colours. */
export function Portrait({
  looksLike,
  portrait,
  swatches,
  title,
  className,
}: {
  looksLike: LooksLike;
  portrait?: PortraitName;
  swatches: readonly string[];
  title?: string;
  className?: string;
}) {
  const [first = '#b5b5b5', second = first, third = second] = swatches;
  return (
    <svg
      viewBox="0 0 160 100"
      className={className}
      role={title ? 'img' : undefined}
      aria-label={title}
      aria-hidden={title ? undefined : true}
    >
      <line x1="6" y1="92" x2="154" y2="92" stroke="#9a9a9a" />
      <g stroke="#1c1c1c" strokeWidth="1.4" strokeLinejoin="round">
        {portrait ? PORTRAITS[portrait]({ first, second, third }) : DRAWINGS[looksLike]({ first, second, third })}
      </g>
    </svg>
  );
}

type Colours = { readonly first: string; readonly second: string; readonly third: string };

const wheel = (cx: number, r: number, fill: string) => (
  <g key={cx}>
    <circle cx={cx} cy={92 - r} r={r} fill={fill} />
    <circle cx={cx} cy={92 - r} r={r * 0.35} fill="#dcdcdc" />
  </g>
);

const DRAWINGS: Record<LooksLike, (colours: Colours) => ReactNode> = {
  'cast-body': ({ first, second, third }) => (
    <>
      <path d="M16 30 Q16 22 24 22 H136 Q144 22 144 30 V54 H16 Z" fill={first} />
      <path d="M16 54 H144 V76 H16 Z" fill={second} />
      {[28, 50, 72, 94, 116].map((x) => (
        <rect key={x} x={x} y="30" width="16" height="16" fill="#f3f3f3" />
      ))}
      {[38, 62, 98, 122].map((x) => wheel(x, 9, third))}
    </>
  ),
  'pressed-toy': ({ first, second }) => (
    <>
      <path d="M44 92 L60 22 H76 L92 92 Z" fill={first} />
      <path d="M50 70 H86 M55 46 H81" fill="none" />
      <path d="M56 24 L146 12 V20 L60 34 Z" fill={second} />
      <path d="M138 20 V58" fill="none" />
      <path d="M132 58 h12 v8 q-6 8 -12 0 Z" fill="#cfcfcf" />
    </>
  ),
  'wheels-axles': ({ first, second }) => (
    <>
      <rect x="44" y="64" width="72" height="6" fill="#cfcfcf" />
      {wheel(44, 25, first)}
      {wheel(116, 25, second)}
    </>
  ),
  'wire-cage': ({ first, second }) => (
    <>
      <circle cx="80" cy="42" r="36" fill="none" stroke={first} strokeWidth="3" />
      {[0, 30, 60, 90, 120, 150].map((angle) => (
        <line key={angle} x1="80" y1="6" x2="80" y2="78" stroke={first} strokeWidth="2" transform={`rotate(${angle} 80 42)`} />
      ))}
      <circle cx="80" cy="42" r="9" fill={second} />
      <path d="M70 78 H90 L104 92 H56 Z" fill={second} />
    </>
  ),
  'sheet-case': ({ first, second }) => (
    <>
      <path d="M24 42 L44 28 H136 V74 L124 86 H24 Z" fill={second} />
      <path d="M24 42 H124 V86 H24 Z" fill={first} />
      <path d="M124 42 L136 28" fill="none" />
      <circle cx="42" cy="64" r="8" fill="#dcdcdc" />
    </>
  ),
  'plastic-shell': ({ first, second }) => (
    <>
      <path d="M28 74 Q28 22 80 22 Q132 22 132 74 Z" fill={first} />
      <rect x="22" y="74" width="116" height="10" fill={second} />
      <path d="M76 22 V12 H84 V22" fill="#dcdcdc" />
    </>
  ),
  'bracket-set': ({ first, second }) => (
    <>
      <path d="M26 16 H38 V80 H96 V92 H26 Z" fill={first} />
      <path d="M104 36 H146 V92 H104 Z" fill={second} />
      {[52, 76].map((x) => (
        <circle key={x} cx={x} cy="86" r="2.6" fill="#f3f3f3" />
      ))}
      <circle cx="125" cy="50" r="3" fill="#f3f3f3" />
    </>
  ),
  'large-panel': ({ first, second }) => (
    <>
      <path d="M30 12 H136 V92 H24 Z" fill={first} />
      <path d="M44 26 H122 V44 H42 Z" fill={second} />
    </>
  ),
  tank: ({ first, second }) => (
    <>
      <path d="M20 66 Q24 32 62 30 H120 Q144 34 142 66 Q140 80 120 82 H40 Q20 82 20 66 Z" fill={first} />
      <path d="M28 60 H138" fill="none" />
      <rect x="70" y="22" width="22" height="9" rx="2" fill={second} />
    </>
  ),
  'clear-kit': ({ first, second, third }) => (
    <>
      <path d="M10 62 H150 L134 86 H30 Z" fill={first} />
      <path d="M14 68 H146" fill="none" stroke={second} strokeWidth="3" />
      <path d="M46 62 L54 36 H106 L118 62 Z" fill={second} />
      <path d="M56 56 L60 42 H78 V56 Z M84 42 H102 L109 56 H84 Z" fill="#eef1f2" />
      <path d="M80 36 V16 L98 26 Z" fill={third} />
    </>
  ),
  'wooden-body': ({ first, second }) => (
    <>
      <path d="M20 44 Q50 34 80 36 Q118 34 142 44 L132 80 H30 Z" fill={first} />
      <path d="M30 80 H132 V90 H30 Z" fill={second} />
      <path d="M40 52 Q80 46 122 53 M44 64 Q84 58 118 65" fill="none" strokeOpacity="0.5" />
    </>
  ),
  'grained-trim': ({ first }) => (
    <>
      <path d="M16 62 Q50 30 144 36 V64 Q60 58 30 84 Z" fill={first} />
      <path
        d="M38 62 h3 M52 54 h3 M68 48 h3 M84 45 h3 M100 43 h3 M116 42 h3 M46 70 h3 M64 62 h3 M82 57 h3 M100 55 h3 M120 54 h3"
        fill="none"
      />
    </>
  ),
  'tinplate-toy': ({ first, second, third }) => (
    <>
      <path d="M30 56 Q24 30 44 26 Q58 18 64 34 Q72 52 96 48 Q122 44 132 28 Q138 62 116 76 H56 Q34 74 30 56 Z" fill={first} />
      <path d="M66 58 Q86 50 106 60 Q92 72 72 68 Z" fill={second} />
      <path d="M26 40 L36 36 V46 Z M42 26 Q44 16 52 20 Q58 16 58 26 Z" fill={third} />
      <circle cx="46" cy="37" r="2.5" fill="#1c1c1c" />
      <path d="M70 76 V92 M98 76 V92 M62 92 H78 M90 92 H106 M124 56 H142 M142 48 v16" fill="none" strokeWidth="3" />
    </>
  ),
  'something-else': ({ first, second }) => (
    <>
      <path d="M40 40 L80 22 L120 40 V78 L80 92 L40 78 Z" fill={first} />
      <path d="M40 40 L80 56 L120 40 M80 56 V92" fill="none" />
      <path d="M80 56 L120 40 V78 L80 92 Z" fill={second} />
    </>
  ),
};

/** Portraits of particular pieces. */
const PORTRAITS: Record<PortraitName, (colours: Colours) => ReactNode> = {
  tram: ({ first, second, third }) => (
    <>
      <path d="M60 20 L80 8 L100 20" fill="none" />
      <path d="M14 32 Q14 20 28 20 H132 Q146 20 146 32 V52 H14 Z" fill={first} />
      <path d="M14 52 H146 V78 H14 Z" fill={second} />
      {[22, 42, 62, 82, 102, 122].map((x) => (
        <rect key={x} x={x} y="28" width="16" height="18" fill="#f3f3f3" />
      ))}
      <circle cx="80" cy="65" r="7" fill={first} />
      {[44, 62, 98, 116].map((x) => wheel(x, 8, third))}
    </>
  ),
  roller: ({ first, second, third }) => (
    <>
      <path d="M42 18 H106 V26 H42 Z" fill={third} />
      <path d="M50 26 V52 M98 26 V52" fill="none" strokeWidth="3" />
      <path d="M34 50 H112 L118 72 H34 Z" fill={first} />
      <rect x="112" y="34" width="8" height="22" fill={first} />
      {wheel(122, 22, second)}
      {wheel(46, 26, first)}
    </>
  ),
  crane: ({ first, second }) => DRAWINGS['pressed-toy']({ first, second, third: second }),
  fan: ({ first, second }) => DRAWINGS['wire-cage']({ first, second, third: second }),
  balance: ({ first }) => (
    <>
      <path d="M70 92 L74 40 H86 L90 92 Z" fill={first} />
      <path d="M24 40 L80 30 L136 40 L134 46 L80 38 L26 46 Z" fill="#cfcfcf" />
      <path d="M28 44 L14 66 H42 Z M132 44 L118 66 H146 Z" fill="none" />
      <path d="M12 66 H44 Q40 78 28 78 Q16 78 12 66 Z" fill="#c9a44a" />
      <path d="M116 66 H148 V72 H116 Z" fill={first} />
    </>
  ),
  seaplane: ({ first, second }) => (
    <>
      <path d="M12 48 Q16 34 40 34 H104 Q124 34 150 24 L146 46 Q120 58 40 58 Q16 58 12 48 Z" fill={first} />
      <path d="M44 18 H112 V26 H44 Z" fill={second} />
      <path d="M58 26 V36 M98 26 V36" fill="none" />
      <path d="M136 10 L152 10 L150 26 L138 30 Z" fill={first} />
      <path d="M26 78 Q30 70 44 70 H104 L120 76 L104 86 H40 Q28 86 26 78 Z" fill={second} />
      <path d="M50 58 V70 M96 56 V70" fill="none" />
    </>
  ),
  lamp: ({ first, second }) => DRAWINGS['plastic-shell']({ first, second, third: second }),
  vane: ({ first }) => (
    <>
      <path d="M80 92 V40" fill="none" strokeWidth="4" />
      <path d="M20 44 H128 V36 L148 46 L128 56 V48 H20 Z" fill={first} />
      <path d="M20 36 L36 46 L20 56 Z" fill={first} />
      <path d="M56 36 H106 L98 26 H64 Z" fill={first} />
      <path d="M80 26 V6 L98 22 H80" fill={first} />
      <path d="M60 70 H100 M80 62 V78" fill="none" />
    </>
  ),
};
