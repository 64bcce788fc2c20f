/** A spray can or a bottle, filled as high as it is full. */
export function CanDrawing({ full, colour, bottle }: { full: number; colour: string; bottle: boolean }) {
  if (bottle) {
    return (
      <svg width="44" height="78" viewBox="0 0 44 78" aria-hidden="true">
        <rect x="12" y="20" width="20" height="11" rx="1" fill="#dcdcdc" stroke="#555555" />
        <path
          d="M14 31 V36 C6 38 5 42 5 47 V73 a4 4 0 0 0 4 4 H35 a4 4 0 0 0 4 -4 V47 C39 42 38 38 30 36 V31 Z"
          fill="#f4f4f4"
          stroke="#555555"
        />
        <rect x="6" y={42 + 34 * (1 - full)} width="32" height={34 * full} rx="3" fill={colour} />
      </svg>
    );
  }
  return (
    <svg width="44" height="78" viewBox="0 0 44 78" aria-hidden="true">
      <rect x="15" y="1" width="14" height="9" fill="#dcdcdc" stroke="#555555" />
      <rect x="2" y="10" width="40" height="67" rx="3" fill="#f4f4f4" stroke="#555555" />
      <rect x="3" y={11 + 65 * (1 - full)} width="38" height={65 * full} fill={colour} />
    </svg>
  );
}
