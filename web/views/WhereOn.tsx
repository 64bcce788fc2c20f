import type { Layer, Zone } from '#core/facts/index';
import { listed } from '#core/units/index';
import { Popover } from 'radix-ui';

/** Where a layer goes: all over, or on one or several zones. */
export function WhereOn({
  label,
  zones,
  covers,
  onChange,
}: {
  label: string;
  zones: readonly Zone[];
  covers: Layer['covers'];
  onChange: (covers: Layer['covers']) => void;
}) {
  const on = (id: string) => covers === 'all' || covers.includes(id);
  const toggle = (id: string) => {
    const next = zones.filter((zone) => (zone.id === id ? !on(id) : on(zone.id))).map((zone) => zone.id);
    if (next.length > 0) onChange(next.length === zones.length ? 'all' : next);
  };
  const chosen = zones.filter((zone) => on(zone.id)).map((zone) => zone.name.toLowerCase());
  return (
    <Popover.Root>
      <Popover.Trigger asChild>
        <button type="button" className="chip !min-h-8 max-w-full !px-2 text-small" aria-label={label}>
          <span className="truncate">{covers === 'all' ? 'all over' : listed(chosen)}</span>
        </button>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content sideOffset={6} collisionPadding={12} className="sheet z-50 w-64 !border-ink !p-3" aria-label={label}>
          <button type="button" className="chip w-full" aria-pressed={covers === 'all'} onClick={() => onChange('all')}>
            all over
          </button>
          <fieldset className="mt-2 flex flex-col gap-1">
            <legend className="sr-only">{label}</legend>
            {zones.map((zone) => (
              <label key={zone.id} className="flex min-h-9 items-center gap-2">
                <input type="checkbox" className="size-5" checked={on(zone.id)} onChange={() => toggle(zone.id)} />
                {zone.name}
              </label>
            ))}
          </fieldset>
          <p className="second mt-2 text-small">What is not covered here is masked while this goes on, unless a later colour covers it.</p>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
