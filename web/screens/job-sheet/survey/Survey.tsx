import { useSearchParams } from 'react-router';
import { Chips } from '../../../views/fields/Chips.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { Overview } from './Overview.tsx';
import { PartsEditor } from './parts/PartsEditor.tsx';
import { References } from './colour/References.tsx';
import { TakingApart } from './apart/TakingApart.tsx';

const VIEWS = [
  { key: 'walk', name: 'Walk round it', View: Overview },
  { key: 'parts', name: 'Parts and sizes', View: PartsEditor },
  { key: 'apart', name: 'Taking apart', View: TakingApart },
  { key: 'colours', name: 'References', View: References },
] as const;

/** What the piece is, in four views: the walk with its pictures and marks, the parts in full, how it comes apart, and what its colours are read from. */
export function Survey(props: SectionProps) {
  const [params, setParams] = useSearchParams();
  const current = VIEWS.find((view) => view.key === params.get('view')) ?? VIEWS[0];
  return (
    <div>
      <div className="mb-4">
        <Chips
          legend="Survey"
          hideLegend
          options={VIEWS.map(({ key, name }) => ({ value: key, label: name }))}
          value={current.key}
          onChange={(view) => setParams({ view }, { replace: true })}
        />
      </div>
      <current.View {...props} />
    </div>
  );
}
