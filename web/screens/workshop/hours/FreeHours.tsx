import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { WeeklyHours } from './WeeklyHours.tsx';
import { FoldingSheet } from '../../../views/folding/FoldingSheet.tsx';

/** The week: which hours are free for the bench. */
export function FreeHours() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  return (
    <FoldingSheet title="Free hours">
      {workshop.freeHours.length === 0 && <p className="mt-2 font-[650]">No hour is free: nothing can be planned. Add one evening.</p>}
      <WeeklyHours
        hours={workshop.freeHours}
        add="Add these hours"
        usual={{ from: '19:00', to: '21:30' }}
        onChange={(freeHours) => void save('workshop', { ...workshop, freeHours }, 'The plan has moved.')}
      />
    </FoldingSheet>
  );
}
