import { useSearchParams } from 'react-router';
import { Chips } from '../../../views/Chips.tsx';
import type { SectionProps } from '../sectionProps.ts';
import { Overview } from './Overview.tsx';
import { PartsEditor } from './PartsEditor.tsx';
import { TakingApart } from './TakingApart.tsx';

const VIEWS = [
  { key: 'walk', name: 'Walk round it', View: Overview },
  { key: 'parts', name: 'Parts and sizes', View: PartsEditor },
  { key: 'apart', name: 'Taking apart', View: TakingApart },
] as const;

/** What the piece is, in three views: the walk with its pictures and marks, the parts in full, and how it comes apart. */
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
