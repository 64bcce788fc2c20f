import { hexOf } from '#core/colour/index';
import type { Lab } from '#core/facts/index';

export type Field = { readonly key: string; readonly title: string; readonly text: string; readonly lab: Lab };

/** Colours side by side in one neutral frame, large enough to judge. */
export function Fields({ fields }: { fields: readonly Field[] }) {
  return (
    <div className="mt-3 grid border border-[#8c8c8c]" style={{ gridTemplateColumns: `repeat(${fields.length}, minmax(0, 1fr))` }}>
      {fields.map(({ key, title, text, lab }) => (
        <div key={key} className={`min-h-44 p-4 ${lab.l > 55 ? 'text-[#161616]' : 'text-[#ffffff]'}`} style={{ background: hexOf(lab) }}>
          <p className="font-[650]">{title}</p>
          <p className="text-small">{text}</p>
        </div>
      ))}
    </div>
  );
}
