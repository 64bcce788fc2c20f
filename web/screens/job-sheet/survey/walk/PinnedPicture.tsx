import { type Mark, type Part, type Picture, type Piece, plain } from '#core/facts/index';
import { pictureUrl } from '../../../../api/pictures.ts';

type Pin = NonNullable<Mark['pin']>;

/** So that the parts beside it are seen without scrolling. */
const MOST_HEIGHT = 400;

/** A picture with its marks as numbered pins; a press on it places a new one. By keyboard the new pin goes to the middle. */
export function PinnedPicture({
  piece,
  picture,
  part,
  pin,
  onPin,
  onPart,
}: {
  piece: Piece;
  picture: Picture;
  part: Part | undefined;
  pin: Pin | null;
  onPin: (pin: Pin) => void;
  onPart: (id: string) => void;
}) {
  const pins = piece.parts.flatMap((own) =>
    (own.marks ?? []).flatMap((mark, index) =>
      mark.pin?.pictureId === picture.id ? [{ own, mark, number: index + 1, at: mark.pin }] : [],
    ),
  );
  return (
    <div className="relative mx-auto" style={{ maxWidth: `${(MOST_HEIGHT * picture.width) / picture.height}px` }}>
      <button
        type="button"
        className="block w-full cursor-crosshair"
        aria-label={`Mark something on the ${picture.view}`}
        onClick={(event) => {
          const box = event.currentTarget.getBoundingClientRect();
          // A press by key has no place of its own.
          const byKey = event.clientX === 0 && event.clientY === 0;
          const share = (at: number, from: number, size: number) => Math.min(1, Math.max(0, (at - from) / size));
          onPin({
            pictureId: picture.id,
            x: byKey ? 0.5 : share(event.clientX, box.left, box.width),
            y: byKey ? 0.5 : share(event.clientY, box.top, box.height),
          });
        }}
      >
        <img
          src={pictureUrl(picture.id)}
          width={picture.width}
          height={picture.height}
          alt={`${piece.name}, ${picture.view}, ${picture.when}`}
          className="block h-auto w-full border border-hairline"
        />
      </button>
      {pins.map(({ own, mark, number, at }) => (
        <button
          key={mark.id}
          type="button"
          className={`absolute flex min-h-7 -translate-x-1/2 -translate-y-1/2 items-center gap-1 rounded-full border border-ink px-2 text-small ${own.id === part?.id ? 'bg-ink text-onink' : 'bg-sheet text-ink'}`}
          style={{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }}
          aria-label={`${own.name}, mark ${number}: ${mark.severity} ${plain(mark.kind)}, ${mark.where}`}
          onClick={() => onPart(own.id)}
        >
          <span className="figure">{number}</span> {plain(mark.kind)}
        </button>
      ))}
      {pin && (
        <span
          aria-hidden
          className="absolute size-5 -translate-x-1/2 -translate-y-1/2 rounded-full border-4 border-accent bg-sheet"
          style={{ left: `${pin.x * 100}%`, top: `${pin.y * 100}%` }}
        />
      )}
    </div>
  );
}
