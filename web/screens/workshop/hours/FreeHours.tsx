import { usePlan } from '../../../app/plan/PlanContext.tsx';
import { useSaving } from '../../../app/writing/useFacts.ts';
import { WeeklyHours } from './WeeklyHours.tsx';

/** The week: which hours are free for the bench. */
export function FreeHours() {
  const { workshop } = usePlan();
  const { save } = useSaving();
  return (
    <section className="sheet" aria-labelledby="free">
      <h2 id="free">Free hours</h2>
      {workshop.freeHours.length === 0 && <p className="mt-2 font-[650]">No hour is free: nothing can be planned. Add one evening.</p>}
      <WeeklyHours
        hours={workshop.freeHours}
        add="Add these hours"
        usual={{ from: '19:00', to: '21:30' }}
        onChange={(freeHours) => void save('workshop', { ...workshop, freeHours }, 'The plan has moved.')}
      />
    </section>
  );
}
