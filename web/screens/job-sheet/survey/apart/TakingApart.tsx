import type { Piece } from '#core/facts/index';
import { postPlan } from '#core/survey/index';
import { Link } from 'react-router';
import { Cautions } from '../../../../views/Cautions.tsx';
import type { SectionProps } from '../../sectionProps.ts';
import { Bags } from './Bags.tsx';
import { Fastenings } from './Fastenings.tsx';
import { FitOrder } from './FitOrder.tsx';
import { SparesBox } from './SparesBox.tsx';
import { FoldingSheet } from '../../../../views/folding/FoldingSheet.tsx';

/** How the piece comes apart, where its small parts go, and in what order it goes together again. */
export function TakingApart({ piece, view }: SectionProps) {
  return (
    <div className="grid items-start gap-4 xl:grid-cols-[minmax(0,1fr)_360px]">
      <div className="space-y-4">
        <Fastenings piece={piece} view={view} />
        <Posts piece={piece} />
        <Bags piece={piece} />
      </div>
      <div className="space-y-4">
        <FitOrder piece={piece} />
        <SparesBox piece={piece} />
        <Cautions
          hazards={[
            ...(piece.mains ? (['mains'] as const) : []),
            ...(piece.parts.some((part) => part.stops?.includes('spring')) ? (['spring'] as const) : []),
            'sharp',
          ]}
        />
        <p className="noprint">
          <Link className="linklike inline-block min-h-11" to={`/pieces/${piece.id}/print/labels`}>
            Bag labels and list, to print
          </Link>
        </p>
      </div>
    </div>
  );
}

/** Riveted posts to be opened: thread, drill, depth and the wall that is left, step by step. */
function Posts({ piece }: { piece: Piece }) {
  const posts = (piece.fastenings ?? []).flatMap((fastening) =>
    fastening.kind === 'rivet' && fastening.post ? [{ fastening, post: fastening.post, plan: postPlan(fastening.post) }] : [],
  );
  if (posts.length === 0) return null;
  const nameOf = (id: string | undefined) => piece.parts.find((part) => part.id === id)?.name ?? 'the frame';
  return (
    <FoldingSheet title="Riveted posts" className="!p-4">
      {posts.map(({ fastening, post, plan }) => (
        <div key={fastening.id} className="mt-2 grid gap-4 border-t border-hairline pt-2 sm:grid-cols-[150px_minmax(0,1fr)]">
          <PostDrawing acrossMm={post.acrossMm} depthMm={plan.depthMm} deepMm={post.deepMm} wallMm={plan.thread ? plan.wallMm : null} />
          <div>
            <p className="font-[650] text-ink">
              {nameOf(fastening.a)} to {nameOf(fastening.b)}: {plan.thread ? `${fastening.count} × ${plan.thread}` : 'leave it riveted'}
            </p>
            <p className="second">{plan.because}</p>
            <ol className="mt-1 list-decimal pl-5">
              {plan.steps.map((step) => (
                <li key={step}>{step}</li>
              ))}
            </ol>
          </div>
        </div>
      ))}
    </FoldingSheet>
  );
}

/** The post in section, to scale: walls hatched, the hole as deep as it is drilled. */
function PostDrawing({ acrossMm, depthMm, deepMm, wallMm }: { acrossMm: number; depthMm: number; deepMm: number; wallMm: number | null }) {
  const scale = Math.min(110 / acrossMm, 110 / deepMm);
  const [width, height] = [acrossMm * scale, deepMm * scale];
  const wall = wallMm === null ? width / 2 : wallMm * scale;
  const left = (150 - width) / 2;
  return (
    <svg viewBox="0 0 150 150" className="h-[150px] w-[150px]" role="img" aria-label={`Post ${acrossMm} mm across, ${deepMm} mm deep`}>
      <defs>
        <pattern id="post-metal" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--hatch)" strokeWidth="1" />
        </pattern>
      </defs>
      <rect x={left} y="12" width={width} height={height} fill="url(#post-metal)" stroke="var(--ink)" />
      {wallMm !== null && (
        <rect x={left + wall} y="12" width={width - 2 * wall} height={depthMm * scale} fill="var(--sheet)" stroke="var(--ink)" />
      )}
      <text x="75" y={height + 28} textAnchor="middle" fontSize="12" fill="currentColor" className="figure">
        {acrossMm} mm
      </text>
    </svg>
  );
}
