import { toMinute } from '#core/units/index';
import { useDeferredValue } from 'react';
import type { Found } from '../../../api/answers.ts';
import { useSearchQuery } from '../../../api/workshopApi.ts';
import { Marked } from '../../../views/Marked.tsx';
import { Row } from './PaletteRow.tsx';
import { usePlan } from '../../plan/PlanContext.tsx';
import { useWords } from '../../useWords.ts';

const MOST = 12;
const NAMES: Readonly<Record<Found['kind'], string>> = { piece: 'piece', part: 'part', paint: 'paint', entry: 'log' };

/** What the workshop itself holds under the words typed: pieces, parts, paints and entries of the log, with what matched. */
export function FoundRows({ typed, onGo }: { typed: string; onGo: (to: string) => void }) {
  const words = useWords();
  const { facts } = usePlan();
  const q = useDeferredValue(typed.trim());
  const { data: found = [], isError } = useSearchQuery({ q, most: MOST }, { skip: q === '' });
  if (q === '') return null;
  if (isError) return <p className="second px-3 py-2">The server, which looks up words, does not answer.</p>;
  const addressOf = ({ kind, id, pieceId }: Found): string => {
    if (kind === 'piece') return `/pieces/${id}/coats`;
    if (kind === 'part') return `/pieces/${pieceId}/survey?view=parts&part=${id}`;
    if (kind === 'paint') return `/shelf/sheets/${facts.products.find((product) => product.id === id)?.sheetId ?? ''}`;
    return `/log?q=${encodeURIComponent(q)}`;
  };
  return found.map((own) => (
    <Row key={`${own.kind} ${own.id}`} value={`${typed} ${own.kind} ${own.id}`} onSelect={() => onGo(addressOf(own))}>
      <span className="flex items-baseline gap-3">
        <span className="second w-12 shrink-0 text-small">{NAMES[own.kind]}</span>
        <span className="min-w-0">
          <Marked text={own.shownTitle} />
          <span className="second block truncate text-small">
            {own.at && `${words.moment(toMinute(own.at))} · `}
            <Marked text={own.shownBody} />
          </span>
        </span>
      </span>
    </Row>
  ));
}
