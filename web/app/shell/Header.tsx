import { airAt } from '#core/drying/index';
import { NavLink } from 'react-router';
import { useNow } from '../plan/useNow.ts';
import { usePlan } from '../plan/PlanContext.tsx';
import { useWords } from '../useWords.ts';

export const DESTINATIONS = [
  { to: '/', name: 'Bench', key: 'b' },
  { to: '/pieces', name: 'Pieces', key: 'p' },
  { to: '/board', name: 'Drying board', key: 'd' },
  { to: '/shelf', name: 'Paint shelf', key: 's' },
  { to: '/buying', name: 'Buying', key: 'y' },
  { to: '/colour', name: 'Colour', key: 'c' },
  { to: '/log', name: 'Log', key: 'l' },
  { to: '/workshop', name: 'Workshop', key: 'w' },
] as const;

/** What a paired phone may open: the rest has no address there. */
const ON_A_PHONE: readonly string[] = ['/', '/board', '/shelf', '/log'];

export function Header() {
  const { state } = usePlan();
  const destinations = state.phone ? DESTINATIONS.filter(({ to }) => ON_A_PHONE.includes(to)) : DESTINATIONS;
  return (
    <header className="noprint flex flex-wrap items-center gap-x-4 border-b border-hairline bg-header px-4 py-1 sm:h-12 sm:flex-nowrap sm:gap-8 sm:px-6 sm:py-0">
      <a href="#main" className="sr-only focus:not-sr-only">
        To the page
      </a>
      <NavLink to="/" className="flex items-baseline gap-1 text-[20px] font-[750] text-ink" aria-label="Enamelos, to the bench">
        Enamelos <span className="inline-block size-[10px] rounded-full border-[2.5px] border-ink" aria-hidden />
      </NavLink>
      <nav aria-label="Destinations" className="flex min-w-0 flex-wrap gap-x-4 sm:h-full sm:flex-nowrap sm:gap-6">
        {destinations.map(({ to, name }) => (
          <NavLink
            key={to}
            to={to}
            end={to === '/'}
            className={({ isActive }) =>
              `flex min-h-9 shrink-0 items-center sm:h-full border-b-2 ${isActive ? 'border-ink font-[650] text-ink' : 'border-transparent text-second hover:text-ink'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto hidden items-center gap-4 lg:flex">
        <AirNow />
      </div>
    </header>
  );
}

function AirNow() {
  const { conditions, workshop, facts } = usePlan();
  const now = useNow(30_000);
  const { temperature } = useWords();
  const air = conditions[workshop.sprayPlaceId];
  const place = facts.places.find((candidate) => candidate.id === workshop.sprayPlaceId);
  if (!air || !place) return null;
  const { airC, rh, dewMarginC } = airAt(air, now);
  return (
    <span className="text-small second whitespace-nowrap" title={air.rests}>
      {place.name} <span className="figure text-text">{temperature(airC)}</span> ·{' '}
      <span className="figure text-text">{Math.round(rh)} %</span> dew margin{' '}
      <span className="figure text-text">{dewMarginC.toFixed(1)}°</span>
      {!air.measured && ' (usual day)'}
    </span>
  );
}
