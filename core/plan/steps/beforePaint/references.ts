import { LOOK_BENEATH } from '#core/colour/index';
import type { WorkStage } from '#core/facts/index';
import type { PlanContext } from '../../films/index.ts';
import type { StepChain } from '../chain.ts';

/** Old paint that a colour is to be read from goes into the bath only once it has been read, or matched beside it (trade §10). */

const READ_MINUTES = 8;
const READ_SETUP_MINUTES = 4;
/** After any of these there is nothing left to read. */
const TOO_LATE: readonly WorkStage[] = ['strip', 'strip-on', 'strip-off', 'prep'];

/** Read before the old paint is stripped or scuffed: afterwards nobody can. */
export function addReadings(chain: StepChain, { history }: PlanContext): void {
  const { piece, part } = chain.of;
  const open = (piece.references ?? []).filter((own) => own.partId === part.id && own.lab === undefined);
  if (open.length === 0) return;
  const begun = TOO_LATE.map((stage) => `${piece.id}.${part.id}.${stage}.`);
  if (history.doneOf(piece.id, part.id).some(([key]) => begun.some((start) => key.startsWith(start)))) return;
  for (const { id, where, ageings = [] } of open) {
    chain.add({
      stage: 'reference',
      subject: id,
      title: `Read the colour: ${where}`,
      minutes: READ_MINUTES,
      setup: READ_SETUP_MINUTES,
      detail: [
        'clean and dry, by the window and by lamp: a chip, a meter or a picture with a grey card; or match a dab beside it',
        ...ageings.map((ageing) => LOOK_BENEATH[ageing]),
        'then enter it under Survey, References',
      ].join('; '),
      because: 'The old paint is what the new one goes by: once it is stripped or scuffed nobody can read it.',
      treatment: null,
    });
  }
}
