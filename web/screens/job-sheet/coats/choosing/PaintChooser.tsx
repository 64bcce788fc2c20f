import { letDowns, shelfCans } from '#core/buying/index';
import type { Product } from '#core/facts/index';
import { plain } from '#core/facts/index';
import { Popover } from 'radix-ui';
import { type ReactElement, type ReactNode, useState } from 'react';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { PaintStrip } from '../../../../views/drawn/paint.tsx';

/** A list of the paints that are known, opened from any button; the ones with a can first. */
export function PaintChooser({
  trigger,
  label,
  above,
  onChoose,
}: {
  trigger: ReactElement;
  label: string;
  /** What stands over the list; may close it. */
  above?: (close: () => void) => ReactNode;
  onChoose: (product: Product, role: string) => void;
}) {
  const { facts } = usePlan();
  const [open, setOpen] = useState(false);
  const owned = new Set(shelfCans(facts).flatMap(({ productId, leftMl }) => (leftMl > 0 ? [productId] : [])));
  const products = [...facts.products].sort((a, b) => Number(owned.has(b.id)) - Number(owned.has(a.id)) || a.name.localeCompare(b.name));
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger asChild>{trigger}</Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          collisionPadding={12}
          className="sheet z-50 max-h-[440px] w-[420px] overflow-auto !border-ink !p-4"
          aria-label={label}
        >
          {above?.(() => setOpen(false))}
          <p className="font-[650]">Which paint</p>
          <ul>
            {products.map((product) => {
              const sheet = facts.sheets.find((candidate) => candidate.id === product.sheetId);
              return (
                <li key={product.id}>
                  <button
                    type="button"
                    className="flex min-h-10 w-full items-center gap-3 px-1 text-left hover:bg-quiet"
                    onClick={() => {
                      onChoose(product, sheet?.role ?? 'colour');
                      setOpen(false);
                    }}
                  >
                    <PaintStrip lab={product.lab} className="h-6 w-[10px]" />
                    <span>
                      {product.name}{' '}
                      <span className="second text-small">
                        {sheet ? plain(sheet.family) : ''}
                        {owned.has(product.id) ? ', on the shelf' : ''}
                      </span>
                      {letDowns(product.id, facts)
                        .slice(0, 1)
                        .map((text) => (
                          <span key={text} className="block text-small">
                            Promised and not kept: {text}
                          </span>
                        ))}
                    </span>
                  </button>
                </li>
              );
            })}
          </ul>
          <p className="second mt-2 text-small">Another paint that is yours? Enter its can on the paint shelf.</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
