import { materialText, type OldPaint, type Part, staysOf } from '#core/facts/index';
import type { StripChoice } from './stripChoice.ts';

/** What the first coat of a part lies on, in words: kept paint is never called bare, and nothing is stripped that is not (trade §3). */
export type GroundOfPart = {
  /** "bare steel", "the baked enamel". */
  readonly name: string;
  /** How it has been made ready. */
  readonly ready: string;
};

const KEPT: Record<OldPaint, string> = {
  'baked-enamel': 'the baked enamel',
  household: 'the household paint',
  'own-coat': 'the coat of before',
  unknown: 'the old paint',
};

/** @param ahead stripping of it is still to come */
export function groundOfPart(part: Part, strip: StripChoice | undefined, ahead: boolean): GroundOfPart {
  const bare = `bare ${materialText(part.material)}`;
  if (part.finish === 'bare') return { name: bare, ready: 'keyed' };
  const stays = staysOf(part);
  if (stays) return { name: materialText(part.material), ready: `stays ${stays}` };
  const kept = KEPT[part.oldPaint ?? 'unknown'];
  if (strip?.method === 'scuff') return { name: kept, ready: 'kept, scuffed' };
  if (!strip?.method) return { name: kept, ready: 'as it is' };
  return { name: bare, ready: ahead ? 'once it is stripped' : 'stripped, keyed' };
}
