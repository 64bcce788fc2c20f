import { CLEAR_TO_STAY_UM, polishedFilm, polishWhyNot, type ResolvedLayer, resolveLayer } from '#core/coats/index';
import { type Part, type Piece, POLISH_PAPERS, type Polish, type Zone } from '#core/facts/index';
import { counted } from '#core/units/index';
import { mendedPiece } from '#core/verify/index';
import { usePlan } from '../../../../app/plan/PlanContext.tsx';
import { Why } from '../../../../views/Why.tsx';
import { usePieceSave, withZoneOf } from '../../pieceChanges.ts';

const USUAL: Polish = { papers: [1500, 2000], edges: false };

/** Each painted zone polished or left as it dries: which papers, edges too or not, and what film that leaves. */
export function PolishOf({ piece, part }: { piece: Piece; part: Part }) {
  const zones = part.zones.filter(({ bare }) => bare === undefined);
  return (
    <div className="mt-3 border-t border-hairline pt-2">
      <p className="second text-small">Flatted and polished when it is hard</p>
      {zones.map((zone) => (
        <PolishOfZone key={zone.id} piece={piece} part={part} zone={zone} named={zones.length > 1} />
      ))}
    </div>
  );
}

function PolishOfZone({ piece, part, zone, named }: { piece: Piece; part: Part; zone: Zone; named: boolean }) {
  const { facts } = usePlan();
  const save = usePieceSave();
  const own = part.layers.findLast(({ covers }) => covers === 'all' || covers.includes(zone.id));
  if (!own) return null;
  const top = resolveLayer(own, facts);
  const refused = polishWhyNot(part, zone.id, facts);
  if (refused) return <p className="mt-1 text-small">{named ? `${zone.name}: ${refused}` : refused}</p>;
  const set = (polish: Polish | undefined, said: string) =>
    void save(
      withZoneOf(piece, part.id, zone.id, ({ polish: _before, ...rest }) => ({ ...rest, ...(polish ? { polish } : {}) })),
      said,
    );
  const { polish } = zone;
  const withPaper = (grit: Polish['papers'][number]): Polish['papers'] =>
    POLISH_PAPERS.filter((paper) => (paper === grit) !== (polish?.papers ?? []).includes(paper));
  return (
    <div className="mt-1">
      <fieldset className="flex flex-wrap gap-2" aria-label={`Polish of ${zone.name}`}>
        <button
          type="button"
          className="chip !min-h-9"
          aria-pressed={polish !== undefined}
          onClick={() => set(polish ? undefined : USUAL, polish ? 'Left as it dries.' : 'Polished: the papers are steps now.')}
        >
          {named ? `polish ${zone.name.toLowerCase()}` : 'polish it'}
        </button>
        {polish &&
          POLISH_PAPERS.map((grit) => (
            <button
              key={grit}
              type="button"
              className="chip figure !min-h-9"
              aria-pressed={polish.papers.includes(grit)}
              onClick={() => set({ ...polish, papers: withPaper(grit) }, 'Papers noted.')}
            >
              P{grit}
            </button>
          ))}
        {polish && (
          <button
            type="button"
            className="chip !min-h-9"
            aria-pressed={polish.edges}
            onClick={() => set({ ...polish, edges: !polish.edges }, polish.edges ? 'Flats only.' : 'Edges too.')}
          >
            edges too
          </button>
        )}
      </fieldset>
      {polish && (
        <FilmLeft
          top={top}
          polish={polish}
          onCoats={(coats) =>
            void save(
              mendedPiece(piece, { kind: 'more-coats', partId: part.id, layerId: own.id, coats }),
              `${counted(coats, 'coat')} of ${top.name}.`,
            )
          }
        />
      )}
    </div>
  );
}

/** What stays on faces and edges, and the coats that bear it. */
function FilmLeft({ top, polish, onCoats }: { top: ResolvedLayer; polish: Polish; onCoats: (coats: number) => void }) {
  const um = top.layer.coats * top.filmUm;
  const { facesUm, edgesUm, thin, coats } = polishedFilm(um, polish, top.filmUm);
  return (
    <p className={thin ? 'mt-1 font-[650]' : 'mt-1'}>
      Of{' '}
      <Why
        title="Film to polish"
        text={`${CLEAR_TO_STAY_UM} µm are to stay. P1000 takes 6 µm, P1500 4, P2000 2.5, P3000 and compound 1 each; an edge loses three times that. ${counted(top.layer.coats, 'coat')} of ${top.filmUm} µm.`}
        source={top.filmSource}
      >
        {um.toFixed(1)} µm
      </Why>{' '}
      of {top.name} <span className="figure">{facesUm.toFixed(1)} µm</span> stay on flats
      {polish.edges && (
        <>
          {' '}
          and <span className="figure">{edgesUm.toFixed(1)} µm</span> on edges
        </>
      )}
      {thin ? (
        <>
          : too thin, it burns through.{' '}
          <button type="button" className="linklike" onClick={() => onCoats(coats)}>
            {counted(coats, 'coat')} bear it
          </button>
        </>
      ) : (
        ', enough.'
      )}
    </p>
  );
}
