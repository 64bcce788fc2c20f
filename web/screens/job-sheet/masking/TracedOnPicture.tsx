import type { Cut, Part, Piece, Trace } from '#core/facts/index';
import { standingFor } from '#core/facts/index';
import { pictureUrl } from '../../../api/pictures.ts';
import { fillOf, type ZoneLook } from '../../../views/drawn/zoneColours.ts';

/** Zones that were traced, in their colours on the picture they were traced on; press one to choose it. */
export function TracedOnPicture({
  piece,
  part,
  looks,
  chosen,
  onChoose,
}: {
  piece: Piece;
  part: Part;
  looks: readonly ZoneLook[];
  chosen: string;
  onChoose: (zoneId: string) => void;
}) {
  const traced = (part.cuts ?? []).flatMap((cut) => (cut.trace && cut.merged !== true ? [{ cut, trace: cut.trace }] : []));
  const pictures = (piece.pictures ?? []).filter((picture) => traced.some(({ trace }) => trace.pictureId === picture.id));
  return pictures.map((picture) => (
    <div key={picture.id} className="relative mt-3" style={{ maxWidth: `${(300 * picture.width) / picture.height}px` }}>
      <img src={pictureUrl(picture.id)} alt={`${piece.name}, ${picture.view}`} className="block h-auto w-full border border-hairline" />
      <svg
        viewBox="0 0 100 100"
        preserveAspectRatio="none"
        className="absolute inset-0 size-full"
        role="img"
        aria-label="Traced zones on the picture"
      >
        {traced
          .filter(({ trace }) => trace.pictureId === picture.id)
          .map(({ cut, trace }) => (
            <TracedZone key={cut.id} cut={cut} trace={trace} part={part} looks={looks} chosen={chosen} onChoose={onChoose} />
          ))}
      </svg>
    </div>
  ));
}

function TracedZone({
  cut,
  trace,
  part,
  looks,
  chosen,
  onChoose,
}: {
  cut: Cut;
  trace: Trace;
  part: Part;
  looks: readonly ZoneLook[];
  chosen: string;
  onChoose: (zoneId: string) => void;
}) {
  // What was traced may have been divided further: it shows the first of what stands there now.
  const [zoneId] = standingFor(part, cut.into[1].id);
  const look = looks.find(({ id }) => id === zoneId);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the same choice is a button of its own below the drawing
    <polygon
      className="cursor-pointer"
      onClick={() => onChoose(zoneId)}
      points={trace.outline.map(([x, y]) => `${x * 100},${y * 100}`).join(' ')}
      fill={fillOf(look)}
      fillOpacity="0.72"
      stroke={zoneId === chosen ? 'var(--accent)' : '#151515'}
      strokeWidth={zoneId === chosen ? 3 : 1}
      vectorEffect="non-scaling-stroke"
    />
  );
}
