import { isMetal, type Part, type Piece } from '#core/facts/index';
import { markText } from '#core/prep/index';
import { isPlanned } from '#core/safety/index';
import { workSize } from '#core/survey/index';
import { DAY, workMinutes } from '#core/units/index';
import type { PlanContext } from '../../films/index.ts';
import { StepChain } from '../chain.ts';
import { after, dwell } from '../constraints.ts';
import { pieceKey } from '../keys.ts';
import { pieceWide } from '../pieceWide.ts';
import type { Step } from '../step.ts';
import type { WorkPace } from '../workPace.ts';

/**
 * A piece that is preserved has a plan of its own (trade §1): nothing is stripped, filled or repainted. A corner is cleaned first
 * and decides; then dust, a mild wash, rust stopped where it is, losses touched in over an isolating clear with paint that comes
 * off again, and wax.
 */
export function preservingSteps(piece: Piece, context: PlanContext, pace: WorkPace): Step[] {
  const { done } = context.history;
  const before = [photographs(piece), corner(piece)].filter((step) => !done.has(step.id));
  const verdict = context.history
    .ofPiece(piece.id)
    .filter(({ kind }) => kind === 'corner')
    .at(-1);
  const leave = verdict?.kind === 'corner' && verdict.outcome === 'leave';
  const chains = leave ? [] : piece.parts.filter(isPlanned).map((part) => partChain(piece, part, context, pace));
  const opening = chained(before);
  const first = opening.at(-1)?.id;
  const own = chains.flatMap((chain) =>
    chain.steps.map((step, index) =>
      index === 0 && first ? { ...step, constraints: [...step.constraints, after(first, 'the corner decides first')] } : step,
    ),
  );
  const record = done.has(pieceKey(piece.id, 'fit')) ? [] : [recordStep(piece, [...opening, ...own], leave)];
  return [...opening, ...own, ...record];
}

function chained(steps: readonly Step[]): Step[] {
  return steps.map((step, index) => (index === 0 ? step : { ...step, constraints: [after(steps[index - 1].id)] }));
}

function photographs(piece: Piece): Step {
  return pieceWide(piece, 'teardown', '-', {
    acts: ['record'],
    title: 'Photograph every side, take nothing apart',
    minutes: 8,
    detail: 'before-photos; what is loose is bagged and named, nothing is forced',
    hazards: piece.mains ? ['mains'] : [],
    because: 'What is preserved is first recorded as it is.',
  });
}

function corner(piece: Piece): Step {
  return pieceWide(piece, 'corner', '-', {
    title: 'Clean a corner first',
    minutes: 10,
    detail: `a hidden spot: soft brush, then a swab ${piece.parts.some(({ material }) => material === 'wood') ? 'with mineral spirit on wood, damp elsewhere' : 'barely damp'}; colour on the swab, or a dulled spot, says stop`,
    hazards: piece.leadExcluded ? [] : ['lead'],
    because: 'Some pieces lose value and character even by washing: the corner decides, not the whole.',
    asks: { kind: 'corner' },
  });
}

/** What is done to each part, none of which cannot be undone. */
function partChain(piece: Piece, part: Part, context: PlanContext, pace: WorkPace): StepChain {
  const chain = new StepChain(context, { piece, part, sentBack: null }, pace);
  const size = workSize(part);
  chain.add({
    stage: 'wash',
    subject: 'dust',
    title: 'Dust off with a soft brush',
    minutes: workMinutes(3, size, 'wash'),
    setup: 5,
    detail: 'towards a vacuum with a HEPA filter, its nozzle under gauze',
    hazards: piece.leadExcluded ? ['dust'] : ['lead', 'dust'],
    because: 'Grit that is washed is grit that scratches.',
    acts: ['handle'],
    treatment: 'preserve dust',
  });
  addMildWash(chain, part);
  for (const mark of part.marks ?? []) addLocal(chain, mark);
  const wax = isMetal(part.material)
    ? 'microcrystalline wax, thin, buffed when hazy'
    : 'a removable varnish or wax made for the material, thin';
  chain.add({
    stage: 'bare-care',
    subject: 'wax',
    title: 'Wax, thin',
    minutes: workMinutes(3, size, 'wash'),
    setup: 2,
    detail: wax,
    because: 'It shuts out damp and fingers, and comes off again.',
    supplies: [{ kind: 'protection', spec: 'microcrystalline wax', unit: 'mL', amount: 5 * size.copies }],
    treatment: 'preserve wax',
  });
  return chain;
}

/** Wood takes no water, and printing on it no spirit either: there the brush was enough (trade §6, rule 6). */
function addMildWash(chain: StepChain, part: Part): void {
  const wood = part.material === 'wood';
  if (wood && part.printed) return;
  const common = { stage: 'wash', minutes: workMinutes(6, workSize(part), 'wash'), setup: 5 } as const;
  chain.add(
    wood
      ? {
          ...common,
          acts: ['solvent-wipe'],
          title: 'Wipe with mineral spirit, swab by swab',
          detail: 'a cloth barely damp, with the grain; never water: wood swells and lifts its paint',
          because: 'It takes wax and grime and is gone; the corner has shown that the old paint bears it.',
          hazards: ['solvent'],
          supplies: [{ kind: 'cleaner', spec: 'mineral spirit', unit: 'mL', amount: 3 }],
          treatment: 'preserve wipe',
        }
      : {
          ...common,
          title: 'Mild wash, swab by swab',
          detail: part.printed
            ? 'barely damp, never soaked: printing lifts; dry at once'
            : 'lukewarm water, a drop of neutral detergent; dry at once',
          because: 'Enough to see it again, and no more.',
          supplies: [{ kind: 'cleaner', spec: 'neutral detergent', unit: 'mL', amount: 3 }],
          treatment: 'preserve wash',
        },
  );
}

/** Rust is stopped where it is; losses are touched in so that it can be taken back; nothing is filled or straightened hard. */
function addLocal(chain: StepChain, mark: NonNullable<Part['marks']>[number]): void {
  const at = markText(mark);
  if (mark.kind === 'rust-light' || mark.kind === 'rust-deep' || mark.kind === 'pitting') {
    chain.add({
      stage: 'repair',
      subject: mark.id,
      title: `Stop the rust where it is, ${mark.where || mark.kind.replace('-', ' ')}`,
      minutes: 8,
      setup: 2,
      detail: 'loosen with oil and a wooden point, a chelating gel on a swab, rinse with a swab, dry, oil or wax',
      hazards: [],
      because: `The survey marked it: ${at}.`,
      supplies: [{ kind: 'cleaner', spec: 'chelating gel', unit: 'mL', amount: 3 }],
    });
    return;
  }
  if (mark.mend === 'leave' || (mark.kind !== 'chip' && mark.kind !== 'scratch')) return;
  const clear = chain.add({
    stage: 'touch-in',
    subject: mark.id,
    title: `Isolating clear on the loss${mark.where ? `, ${mark.where}` : ''}`,
    minutes: 4,
    setup: 2,
    detail: 'a removable varnish by fine brush, only on the loss',
    hazards: ['solvent'],
    because: `The survey marked it: ${at}. What is touched in lies on a clear, so that it comes off again.`,
    supplies: [{ kind: 'protection', spec: 'removable varnish', unit: 'mL', amount: 1 }],
  });
  chain.add(
    {
      stage: 'touch-in',
      subject: mark.id,
      number: 2,
      title: `Touch the loss in${mark.where ? `, ${mark.where}` : ''}`,
      minutes: 8,
      detail: 'dots of a paint that its own mild solvent takes off again; a shade lighter than what is round it',
      hazards: [],
      because: 'Losses only, never over sound paint.',
      supplies: [{ kind: 'protection', spec: 'retouching paint', unit: 'mL', amount: 1 }],
    },
    [dwell(clear, [60, 14 * DAY], 'the isolating clear must be dry')],
  );
}

function recordStep(piece: Piece, steps: readonly Step[], leave: boolean): Step {
  const ends = steps.filter(
    (step) => !steps.some((other) => other.constraints.some(({ rule }) => 'step' in rule && rule.step === step.id)),
  );
  return pieceWide(piece, 'fit', '-', {
    acts: ['record'],
    title: leave ? 'Leave it, write down why, photograph' : 'Photograph, write down what was done',
    minutes: 8,
    detail: 'after-photos in the same views; what was done, with what, and where, goes into the log',
    hazards: [],
    because: leave
      ? 'The corner said no: a dry, dark, steady place does more for it now.'
      : 'Whoever comes next must be able to take it back.',
    constraints: ends.map((step) => after(step.id, 'everything else is done')),
  });
}
