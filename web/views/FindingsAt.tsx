import { usePlan } from '../app/plan/PlanContext.tsx';
import { FindingCard } from './FindingCard.tsx';

/** What was found at a step, under it; nothing where nothing was. */
export function FindingsAt({ stepId }: { stepId: string }) {
  const { findings, pieceById } = usePlan();
  return findings
    .filter(({ step }) => step === stepId)
    .map((finding) => {
      const piece = pieceById.get(finding.pieceId);
      return piece && <FindingCard key={`${finding.rule} ${finding.partId} ${finding.because}`} finding={finding} piece={piece} />;
    });
}
