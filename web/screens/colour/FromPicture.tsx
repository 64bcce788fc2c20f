import { hexOf, type Pixels, UNSURE_DELTA_E } from '#core/colour/index';
import type { Lab } from '#core/facts/index';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import { pictureUrl } from '../../api/pictures.ts';
import { usePlan } from '../../app/plan/PlanContext.tsx';
import { Chips } from '../../views/fields/Chips.tsx';
import { FileField } from '../../views/fields/FileField.tsx';
import { FormProblem } from '../../views/fields/SmallField.tsx';
import type { MarksQuestion } from '../../workers/mix.worker.ts';
import { useMarks } from './useMixWorker.ts';

/** Marks on a picture, as shares of its width and height. */
type Mark = { readonly x: number; readonly y: number };
type Marks = { readonly patch?: Mark; readonly card?: Mark };
type MarkName = keyof Marks;

const MIDDLE: Mark = { x: 0.5, y: 0.5 };
/** Radius of a patch as a share of the picture's shorter side. */
const RADIUS = 0.03;
/** Pictures are read at this width at most: a patch has thousands of pixels all the same. */
const READ_WIDTH = 900;
const NAMES: Record<MarkName, string> = { patch: 'the paint', card: 'the grey card' };

/** What a picture says of a colour. */
export type PictureColour = {
  readonly lab: Lab;
  readonly spread: number;
  readonly withCard: boolean;
  /** The picture: a file by its name, or that of a piece. */
  readonly of: string;
  readonly pieceId?: string;
};

/** A colour picked from a picture: one mark on the paint, one on the grey card beside it if there is one. */
export function FromPicture({ ofPiece, onTake }: { ofPiece?: string; onTake: (read: PictureColour) => void }) {
  const { facts } = usePlan();
  const pictures = facts.pieces
    .filter(({ id }) => ofPiece === undefined || id === ofPiece)
    .flatMap((piece) => (piece.pictures ?? []).map((own) => ({ piece, own })));
  const [source, setSource] = useState<{ url: string; pieceId?: string; name: string } | null>(null);
  return (
    <div className="space-y-3">
      <div className="flex flex-wrap items-end gap-3">
        <FileField label="A picture" accept="image/*" onFile={(file) => setSource({ url: URL.createObjectURL(file), name: file.name })} />
        {pictures.length > 0 && (
          <label>
            <span className="second block text-small">or one of a piece</span>
            <select
              className="field !min-h-10 !w-64"
              value=""
              onChange={(event) => {
                const found = pictures.find(({ own }) => own.id === event.target.value);
                if (found) setSource({ url: pictureUrl(found.own.id), pieceId: found.piece.id, name: found.piece.name });
              }}
            >
              <option value="">choose one</option>
              {pictures.map(({ piece, own }) => (
                <option key={own.id} value={own.id}>
                  {piece.name}, {own.view}, {own.when}
                </option>
              ))}
            </select>
          </label>
        )}
      </div>
      {source && (
        <Picked
          key={source.url}
          url={source.url}
          onTake={(read) => onTake({ ...read, of: source.name, ...(source.pieceId ? { pieceId: source.pieceId } : {}) })}
        />
      )}
    </div>
  );
}

function Picked({ url, onTake }: { url: string; onTake: (read: Pick<PictureColour, 'lab' | 'spread' | 'withCard'>) => void }) {
  const [marks, setMarks] = useState<Marks>({});
  const [held, setHeld] = useState<MarkName>('patch');
  const [withCard, setWithCard] = useState<'yes' | 'no'>('yes');
  const { pixels, failed } = usePixels(url);
  const question = useMemo(() => (pixels ? marksQuestion(pixels, marks, withCard === 'yes') : null), [pixels, marks, withCard]);
  const reading = useMarks(question);
  const move = (to: Mark) => setMarks({ ...marks, [held]: { x: clamp(to.x), y: clamp(to.y) } });
  const press = (to: Mark) => {
    move(to);
    // After the paint comes the card, once.
    if (held === 'patch' && withCard === 'yes' && !marks.card) setHeld('card');
  };
  const nudge = (event: KeyboardEvent) => {
    const by = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[event.key];
    if (!by) return;
    event.preventDefault();
    const step = event.shiftKey ? 0.05 : 0.01;
    const from = marks[held] ?? MIDDLE;
    move({ x: from.x + by[0] * step, y: from.y + by[1] * step });
  };
  if (failed) return <FormProblem text="This file could not be read as a picture: choose a JPEG, PNG or WebP." />;
  return (
    <div className="grid gap-4 sm:grid-cols-[minmax(0,1fr)_240px]">
      <div className="relative self-start">
        <button
          type="button"
          className="block w-full cursor-crosshair"
          aria-label={`Mark on ${NAMES[held]}: press on it, or move it with the arrow keys`}
          onKeyDown={nudge}
          onClick={(event) => {
            if (event.clientX === 0 && event.clientY === 0) return;
            const box = event.currentTarget.getBoundingClientRect();
            press({ x: (event.clientX - box.left) / box.width, y: (event.clientY - box.top) / box.height });
          }}
        >
          <img src={url} alt="" className="block h-auto max-h-[420px] w-full border border-hairline object-fill" />
        </button>
        {marksShown(marks, withCard === 'yes').map(({ name, at }) => (
          <span
            key={name}
            aria-hidden
            className={`pointer-events-none absolute size-7 -translate-x-1/2 -translate-y-1/2 border-2 border-white outline-2 outline-black ${name === 'patch' ? 'rounded-full' : ''}`}
            style={{ left: `${at.x * 100}%`, top: `${at.y * 100}%` }}
          />
        ))}
      </div>
      <div className="space-y-3">
        <Chips
          legend="A grey card in the picture"
          options={[
            { value: 'yes', label: 'it is there' },
            { value: 'no', label: 'none' },
          ]}
          value={withCard}
          onChange={(value) => {
            setWithCard(value);
            setHeld('patch');
          }}
        />
        {withCard === 'yes' && (
          <Chips
            legend="Now press on"
            options={[
              { value: 'patch', label: 'the paint' },
              { value: 'card', label: 'the card' },
            ]}
            value={held}
            onChange={setHeld}
          />
        )}
        {!question && <p className="font-[650]">Press on {NAMES[held]} in the picture.</p>}
        {reading && !reading.ok && <FormProblem text={reading.mend} />}
        {reading?.ok && (
          <>
            <span aria-hidden className="block h-16 border border-[#8c8c8c]" style={{ background: hexOf(reading.lab) }} />
            <p className="second text-small">
              L {Math.round(reading.lab.l)}, a {Math.round(reading.lab.a)}, b {Math.round(reading.lab.b)}; good to ±
              {withCard === 'yes' ? UNSURE_DELTA_E.withCard : UNSURE_DELTA_E.without} ΔE, the patch spreads {Math.round(reading.spread)}. A
              picture is never a match.
            </p>
            <button
              type="button"
              className="act !min-h-10"
              onClick={() => onTake({ lab: reading.lab, spread: reading.spread, withCard: withCard === 'yes' })}
            >
              Take this colour
            </button>
          </>
        )}
      </div>
    </div>
  );
}

function marksShown({ patch, card }: Marks, withCard: boolean): { readonly name: MarkName; readonly at: Mark }[] {
  return [...(patch ? [{ name: 'patch' as const, at: patch }] : []), ...(card && withCard ? [{ name: 'card' as const, at: card }] : [])];
}

/** Null until every mark that is needed has been set. */
function marksQuestion(pixels: Pixels, { patch, card }: Marks, withCard: boolean): MarksQuestion | null {
  if (!patch || (withCard && !card)) return null;
  const at = ({ x, y }: Mark) => ({
    x: x * (pixels.width - 1),
    y: y * (pixels.height - 1),
    radius: Math.max(2, RADIUS * Math.min(pixels.width, pixels.height)),
  });
  return { pixels, paint: at(patch), card: withCard && card ? at(card) : null };
}

function clamp(share: number): number {
  return Math.min(1, Math.max(0, share));
}

/** The pixels of a picture, once it is here. */
function usePixels(url: string): { pixels: Pixels | null; failed: boolean } {
  const [pixels, setPixels] = useState<Pixels | null>(null);
  const [failed, setFailed] = useState(false);
  const asked = useRef(url);
  useEffect(() => {
    asked.current = url;
    const image = new Image();
    image.onload = () => {
      if (asked.current !== url) return;
      const scale = Math.min(1, READ_WIDTH / image.naturalWidth);
      const canvas = document.createElement('canvas');
      canvas.width = Math.max(1, Math.round(image.naturalWidth * scale));
      canvas.height = Math.max(1, Math.round(image.naturalHeight * scale));
      const context = canvas.getContext('2d', { willReadFrequently: true });
      if (!context) return setFailed(true);
      context.drawImage(image, 0, 0, canvas.width, canvas.height);
      setPixels(context.getImageData(0, 0, canvas.width, canvas.height));
    };
    image.onerror = () => setFailed(true);
    image.src = url;
  }, [url]);
  return { pixels, failed };
}
