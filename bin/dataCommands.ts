import type { Problem } from '#core/facts/index';
import { readWorkshopFile } from '#core/admission/index';
import { counted } from '#core/units/index';
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { isZip, unpacked } from '../server/archive.ts';
import { BadSetting, DamagedFile } from '../server/badSetting.ts';
import { fileToRead, fileToWrite, makeFolder, WrongPath } from '../server/paths.ts';
import { type Read, contentsOf, copyFile } from '../server/store/copies.ts';
import { workshopFile } from '../server/store/database.ts';
import { diskTroubleOf } from '../server/store/diskTrouble.ts';
import { BadFact } from '../server/store/refusals.ts';
import { exported, imagesOf, pictureIds } from '../server/workshopFiles.ts';
import { type Opened, openWorkshop } from '../server/workshopFolder.ts';

export type DataCommand = 'export' | 'import' | 'backup' | 'restore';

/** The commands that carry a whole workshop in and out. export and backup only read; import and restore need it closed. */
export async function runDataCommand(command: DataCommand, target: string, refuse: (problem: Problem) => number): Promise<number> {
  try {
    await COMMANDS[command](resolve(target), resolve(process.env.ENAMELOS_DATA ?? './data'));
    return 0;
  } catch (error) {
    if (error instanceof BadFact) return refuse(error.problem);
    if (error instanceof WrongPath) return refuse({ error: error.said, at: '(file)', mend: error.mend });
    const trouble = error instanceof BadSetting ? error : diskTroubleOf(error);
    if (!trouble) throw error;
    process.stderr.write(`${trouble.message}\n`);
    return UNOPENED;
  }
}

const UNOPENED = 3;

type Run = (target: string, folder: string) => Promise<void> | void;
const COMMANDS: Readonly<Record<DataCommand, Run>> = {
  export: exportTo,
  import: async (path, folder) => replace(folder, await fileContents(path), 'import'),
  backup: backupInto,
  restore: (path, folder) => replace(folder, contentsOf(fileToRead(path)), 'restore'),
};

function say(text: string): void {
  process.stderr.write(`${text}\n`);
}

function exportTo(path: string, folder: string): void {
  fileToWrite(path);
  const { facts, pictures } = contentsOf(known(workshopFile(folder)));
  const named = new Set(pictureIds(facts));
  const asked = { facts, pictures: path.endsWith('.json') ? [] : pictures.filter(({ id }) => named.has(id)) };
  const { bytes, kind } = exported(asked, new Date().toISOString());
  if (kind === 'zip' && !path.endsWith('.zip'))
    throw new BadSetting(`There are pictures: let the name end in .zip, or in .json to leave them out.`);
  writeFileSync(path, bytes);
  say(`Written to ${path}: ${facts.pieces.length} pieces, ${facts.events.length} entries, ${asked.pictures.length} pictures.`);
}

async function backupInto(target: string, folder: string): Promise<void> {
  makeFolder(target);
  const path = join(target, `enamelos-${new Date().toISOString().slice(0, 19).replace(/:/g, '')}.sqlite`);
  await copyFile(known(workshopFile(folder)), path);
  say(`Copied to ${path}.`);
}

async function replace(folder: string, { facts, pictures, aside }: Read, change: 'import' | 'restore'): Promise<void> {
  const opened = change === 'restore' ? openedEvenIfDamaged(folder) : openWorkshop(folder);
  try {
    const before = await opened.copies.before(change, new Date().toISOString());
    opened.store.replaceAll(facts, pictures, aside);
    say(`Done: ${facts.pieces.length} pieces, ${facts.events.length} entries. What stood before is in copies/${before}.`);
    if (aside.length > 0)
      say(`${counted(aside.length, 'fact or entry', 'facts or entries')} could not be read and lie aside: see Workshop.`);
  } finally {
    opened.close();
  }
}

/** A damaged workshop is moved aside, not written over: a copy takes its place. */
function openedEvenIfDamaged(folder: string): Opened {
  try {
    return openWorkshop(folder);
  } catch (error) {
    if (!(error instanceof DamagedFile)) throw error;
    const aside = join(folder, `workshop.damaged-${new Date().toISOString().slice(0, 19).replace(/[-:]/g, '')}.sqlite`);
    for (const end of ['', '-wal', '-shm'])
      if (existsSync(`${workshopFile(folder)}${end}`)) renameSync(`${workshopFile(folder)}${end}`, `${aside}${end}`);
    say(`The damaged file is kept as ${aside}.`);
    return openWorkshop(folder);
  }
}

async function fileContents(path: string): Promise<Read> {
  const file = readFileSync(fileToRead(path));
  const zip = isZip(file) ? await unpacked(file) : { text: file.toString('utf8'), pictures: [] };
  const read = readWorkshopFile(zip.text);
  if (!read.ok) throw new BadFact(read.problem);
  return { facts: read.value.facts, pictures: await imagesOf(zip), aside: [] };
}

function known(path: string): string {
  if (existsSync(path)) return path;
  throw new BadSetting(`There is no workshop at ${path}. Set ENAMELOS_DATA to its folder.`);
}
