import type { Family, Layer, Part, Piece, Product, Zone } from '#core/facts/index';
import type { StackView } from '#core/plan/index';
import { besideWords } from '#core/colour/index';
import { counted, listed } from '#core/units/index';
import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { arrayMove, SortableContext, sortableKeyboardCoordinates, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { CopyPlus, GripVertical, Trash2 } from 'lucide-react';
import { toast } from 'sonner';
import { newId } from '../../../app/writing/newId.ts';
import { Why } from '../../../views/Why.tsx';
import { PaintStrip } from '../../../views/drawn/paint.tsx';
import { Stepper } from '../../../views/fields/Stepper.tsx';
import { WhereOn } from '../../../views/WhereOn.tsx';
import { type AnyColour, AnyPaint, wantedOf } from './choosing/AnyPaint.tsx';
import { LayerOptions } from './LayerOptions.tsx';
import { PaintChooser } from './choosing/PaintChooser.tsx';

/** A look further than this from the paint's own is worth a word, ΔE: what two people begin to see in hand. */
const SEEN_OFF = 2;

/** The layers from top to bottom: drag to swap, more or fewer coats, flat after, take out. Laid film cannot be moved. */
export function LayerList({
  part,
  piece,
  stack,
  laidIds,
  onEdit,
  onChoose,
}: {
  part: Part;
  piece: Piece;
  stack: StackView;
  laidIds: ReadonlySet<string>;
  onEdit: (edit: (layers: readonly Layer[]) => Layer[], said: string) => void;
  onChoose: (id: string) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const topDown = [...part.layers].reverse();
  const move = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    const from = topDown.findIndex((layer) => layer.id === active.id);
    const to = topDown.findIndex((layer) => layer.id === over.id);
    const moved = arrayMove(topDown, from, to).reverse();
    const firstFree = moved.findIndex((layer) => !laidIds.has(layer.id));
    if (firstFree >= 0 && moved.slice(firstFree).some((layer) => laidIds.has(layer.id)))
      return void toast('What is laid stays below: nothing can go under it any more.');
    const order = moved.map(({ id }) => id);
    onEdit((layers) => [...layers].sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id)), 'Swapped.');
  };
  const change = (layer: Layer, fields: Partial<Layer>, said: string) =>
    onEdit((layers) => layers.map((own) => (own.id === layer.id ? { ...own, ...fields } : own)), said);
  if (part.layers.length === 0) return null;
  return (
    <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={move} accessibility={{ announcements: spoken(stack) }}>
      <SortableContext items={topDown.map((layer) => layer.id)} strategy={verticalListSortingStrategy}>
        <ul className="mt-2 border-t border-hairline" aria-label="Layers, top first">
          {topDown.map((layer) => (
            <LayerRow
              key={layer.id}
              layer={layer}
              view={stack.layers.find((own) => own.layerId === layer.id)}
              piece={piece}
              part={part}
              laid={laidIds.has(layer.id)}
              zones={part.zones.filter((zone) => zone.bare === undefined)}
              onCovers={(covers) => change(layer, { covers }, 'The plan has moved.')}
              onRepeat={() => onEdit((layers) => [...layers, { ...layer, id: newId() }], 'Repeated on top.')}
              onChoose={() => onChoose(layer.id)}
              onCoats={(coats) => change(layer, { coats }, `${counted(coats, 'coat')}.`)}
              onPaint={(product) => change(layer, { productId: product.id, wanted: undefined }, `${product.name} instead.`)}
              onAny={(colour, family) =>
                change(
                  layer,
                  { productId: undefined, wanted: wantedOf(colour, family), ...(colour.targetId ? { targetId: colour.targetId } : {}) },
                  `Any ${colour.name} instead.`,
                )
              }
              onOptions={(fields, said) => change(layer, fields, said)}
              onRemove={() => onEdit((layers) => layers.filter((own) => own.id !== layer.id), 'Layer taken out.')}
            />
          ))}
        </ul>
      </SortableContext>
    </DndContext>
  );
}

/** What a screen reader hears while a layer is moved: names, never ids. */
function spoken(stack: StackView): Announcements {
  const name = (id: string | number | undefined) => stack.layers.find((own) => own.layerId === id)?.name ?? 'the layer';
  return {
    onDragStart: ({ active }) => `${name(active.id)} is picked up.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is over ${name(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => (over ? `${name(active.id)} is put down at ${name(over.id)}.` : `${name(active.id)} is put back.`),
    onDragCancel: ({ active }) => `${name(active.id)} is put back.`,
  };
}

const MOST_COATS = 12;

type RowProps = {
  layer: Layer;
  view: StackView['layers'][number] | undefined;
  piece: Piece;
  part: Part;
  laid: boolean;
  zones: readonly Zone[];
  onCovers: (covers: Layer['covers']) => void;
  onRepeat: () => void;
  onChoose: () => void;
  onCoats: (coats: number) => void;
  onOptions: (fields: Partial<Layer>, said: string) => void;
  onRemove: () => void;
  onPaint: (product: Product) => void;
  onAny: (colour: AnyColour, family: Family) => void;
};

function LayerRow({
  layer,
  view,
  piece,
  part,
  laid,
  zones,
  onCovers,
  onRepeat,
  onChoose,
  onCoats,
  onOptions,
  onRemove,
  onPaint,
  onAny,
}: RowProps) {
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id: layer.id, disabled: laid });
  const name = view?.name ?? 'layer';
  const least = view?.laidCoats ?? 1;
  const isColour = view?.role === 'colour' || view?.role === 'metallic';
  const short = view?.coatsToHide != null && view.coatsToHide > layer.coats;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className="grid grid-cols-[30px_22px_minmax(0,1fr)] items-center gap-x-3 border-b border-hairline bg-sheet py-1 sm:grid-cols-[30px_22px_minmax(0,1fr)_auto_auto_auto_auto]"
    >
      <button
        type="button"
        className="grid h-10 place-items-center disabled:opacity-30"
        aria-label={`Move ${name}`}
        disabled={laid}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={17} aria-hidden />
      </button>
      {laid ? (
        <PaintStrip lab={view?.lab ?? null} className="h-7 w-[14px]" />
      ) : (
        <PaintChooser
          label={`Another paint for ${name}`}
          onChoose={onPaint}
          above={
            isColour
              ? (close) => (
                  <AnyPaint
                    piece={piece}
                    onTake={(colour) => {
                      onAny(colour, view?.family as Family);
                      close();
                    }}
                  />
                )
              : undefined
          }
          trigger={
            <button type="button" className="grid h-9 place-items-center" aria-label={`Another paint for ${name}`} title="Another paint">
              <PaintStrip lab={view?.lab ?? null} className="h-7 w-[14px]" />
            </button>
          }
        />
      )}
      <span className="flex min-w-0 flex-wrap items-baseline">
        <button type="button" className="mr-2 truncate text-left font-[650] text-ink" onClick={onChoose}>
          {name}
        </button>
        {zones.length > 1 && !laid && (
          <span className="mr-2 min-w-0">
            <WhereOn label={`Where ${name} goes`} zones={zones} covers={layer.covers} onChange={onCovers} />
          </span>
        )}
        {view?.coatsToHide != null && (
          <span className="second shrink-0 text-small">
            <Why
              title="Coats to hide"
              text={`Over ${view.groundName} it takes ${view.coatsToHide} coats until at most 2 % of the contrast shows.`}
              source="default"
            >
              hides in {view.coatsToHide}
            </Why>
            {short && <strong className="ml-1 text-ink">ground will show</strong>}
          </span>
        )}
        {view?.meets && (
          <span className="second mr-2 text-small">
            <strong className="text-ink">{view.meets.within ? 'meets' : 'misses'}</strong> {view.meets.name}, ΔE{' '}
            {view.meets.deltaE.toFixed(1)}
          </span>
        )}
        {view && !view.meets && view.role !== 'clear' && view.offBy >= SEEN_OFF && (
          <span className="second ml-2 flex shrink-0 items-center gap-1 text-small">
            <PaintStrip lab={view.looks} className="h-5 w-5" />
            <Why
              title="What it will look like"
              text={`Over ${view.groundName} ${counted(layer.coats, 'coat')} come to ΔE ${view.offBy.toFixed(1)} from its own colour: ${listed(besideWords(view.looks, view.lab)) || 'hardly to be told'}. Judge a dried tile.`}
              source="default"
            >
              will look so
            </Why>
          </span>
        )}
      </span>
      <span className="col-span-3 flex flex-wrap items-center justify-between gap-x-1 sm:contents">
        <Stepper
          value={layer.coats}
          least={Math.max(1, least)}
          most={MOST_COATS}
          fewer={`Fewer coats of ${name}`}
          more={`More coats of ${name}`}
          words={(coats) => counted(coats, 'coat')}
          onChange={onCoats}
        />
        <LayerOptions piece={piece} part={part} layer={layer} view={view} onChange={onOptions} />
        <button
          type="button"
          className="grid size-9 place-items-center"
          aria-label={`Repeat ${name} on top`}
          title="Repeat on top"
          // The second click of a double one is no second wish.
          onClick={(event) => event.detail < 2 && onRepeat()}
        >
          <CopyPlus size={15} aria-hidden />
        </button>
        <button
          type="button"
          className="grid size-9 place-items-center disabled:opacity-30"
          aria-label={`Take out ${name}`}
          disabled={laid}
          onClick={onRemove}
        >
          <Trash2 size={15} aria-hidden />
        </button>
      </span>
    </li>
  );
}
