import type { Facts, Fastening, Piece } from '#core/facts/index';
import { Stacks } from './stacks.ts';
import { retiedPart } from './retiedPart.ts';
import { retiedTasks } from './retiedTasks.ts';

/** What hung on a layer, part, task, picture or colour that was taken out: where it hangs now, said in words and never left dangling. */

/** The piece as it can be kept, and each thing that had to move, as a sentence. */
export type LetGo = { readonly piece: Piece; readonly moved: readonly string[] };

/**
 * Unties what named something that is no longer there.
 * @param now the piece as it is to be kept
 * @param before the same piece as it stood; absent: it is new and hangs on nothing that was
 */
export function letGo(now: Piece, before: Piece | undefined, facts: Facts): LetGo {
  if (!before) return { piece: now, moved: [] };
  const stacks = new Stacks(now, before, facts);
  const tasks = retiedTasks(now, stacks);
  const parts = now.parts.map((part) => retiedPart(part, now, stacks));
  const parcels = untiedParcels(now, stacks, new Set(tasks.tasks.map(({ id }) => id)));
  const fastenings = untiedFastenings(now, stacks);
  return {
    piece: {
      ...untiedRecords(now, stacks),
      parts: parts.map(({ part }) => part),
      parcels: parcels.kept,
      ...(now.tasks ? { tasks: tasks.tasks } : {}),
      ...(now.fastenings ? { fastenings: fastenings.kept } : {}),
    },
    moved: [...parts.flatMap(({ moved }) => moved), ...tasks.moved, ...parcels.moved, ...fastenings.moved],
  };
}

function untiedParcels({ parcels }: Piece, { hasPart }: Stacks, taskIds: ReadonlySet<string>) {
  const loose = parcels.filter(
    ({ holds }) => holds && ((holds.partId && !hasPart(holds.partId)) || (holds.taskId && !taskIds.has(holds.taskId))),
  );
  return {
    kept: parcels.map((parcel) => {
      const { holds: _gone, ...rest } = parcel;
      return loose.includes(parcel) ? rest : parcel;
    }),
    moved: loose.map(({ name }) => `The fit waits for ${name} now.`),
  };
}

function untiedFastenings({ fastenings = [] }: Piece, stacks: Stacks) {
  const { hasPart } = stacks;
  const holds = ({ a, b }: Fastening) => hasPart(a) && (b === undefined || hasPart(b));
  const out = fastenings.filter((own) => !holds(own));
  return {
    kept: fastenings.filter(holds).map(({ behind, ...own }) => (behind && hasPart(behind) ? { ...own, behind } : own)),
    moved:
      out.length === 0 ? [] : [`What held it goes with it: ${[...new Set(out.map(({ kind }) => kind.replace('-', ' ')))].join(', ')}.`],
  };
}

/** What only remembers a part or a picture is kept without it. */
function untiedRecords(now: Piece, { hasPart, hasPicture, removedParts }: Stacks): Piece {
  const onPart = <T extends { partId?: string }>({ partId, ...own }: T) => (partId && hasPart(partId) ? { ...own, partId } : own) as T;
  const onPicture = <T extends { pictureId?: string }>({ pictureId, ...own }: T) =>
    (pictureId && hasPicture(pictureId) ? { ...own, pictureId } : own) as T;
  const references = new Set((now.references ?? []).map(({ id }) => id));
  return {
    ...now,
    guesses: now.guesses.filter((guess) => !removedParts.some((id) => guess.endsWith(`:${id}`))),
    ...(now.factory?.bodies ? { factory: { ...now.factory, bodies: bodiesLeft(now.factory.bodies, hasPart) } } : {}),
    ...(now.fitOrder ? { fitOrder: now.fitOrder.filter(hasPart) } : {}),
    ...(now.pictures ? { pictures: now.pictures.map(onPart) } : {}),
    ...(now.bags ? { bags: now.bags.map(onPicture) } : {}),
    ...(now.touchUps ? { touchUps: now.touchUps.map(onPart) } : {}),
    ...(now.references ? { references: now.references.map(onPart).map(onPicture) } : {}),
    ...(now.targets
      ? {
          targets: now.targets.map(({ referenceId, ...own }) =>
            referenceId && references.has(referenceId) ? { ...own, referenceId } : own,
          ),
        }
      : {}),
  };
}

/** Parts sprayed as one, without those that are gone; one that is left alone is no body. */
function bodiesLeft(bodies: readonly (readonly string[])[], hasPart: (id: string) => boolean): string[][] {
  return bodies.map((body) => body.filter(hasPart)).filter(({ length }) => length > 1);
}
