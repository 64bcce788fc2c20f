import { existsSync, mkdirSync, statSync } from 'node:fs';
import { dirname } from 'node:path';
import { BadSetting } from './badSetting.ts';

/** What is said of a path that does not lead where it should. */

/** A path that was named leads nowhere, or to something else; `mend` says what to name. */
export class WrongPath extends BadSetting {
  readonly said: string;
  readonly mend: string;
  constructor(said: string, mend: string) {
    super(`${said} ${mend}`);
    this.said = said;
    this.mend = mend;
  }
}

/** @throws WrongPath where there is no such file to read */
export function fileToRead(path: string): string {
  if (!existsSync(path)) throw new WrongPath(`There is no file ${path}.`, 'Name one that exists.');
  if (statSync(path).isDirectory()) throw new WrongPath(`${path} is a folder.`, 'Name a file in it.');
  return path;
}

/** @throws WrongPath where no file can be written under that name */
export function fileToWrite(path: string): string {
  if (existsSync(path) && statSync(path).isDirectory()) throw new WrongPath(`${path} is a folder.`, 'Name a file in it.');
  if (!isFolder(dirname(path))) throw new WrongPath(`There is no folder ${dirname(path)}.`, 'Make it first, or choose another.');
  return path;
}

/**
 * Makes a folder and what it lies in, one after the other: made all at once, a folder that cannot be there is tried for ever.
 * @throws WrongPath where a file has the folder's name, or it cannot be made there
 */
export function makeFolder(folder: string): void {
  if (isFolder(folder)) return;
  if (existsSync(folder)) throw new WrongPath(`${folder} is a file, not a folder.`, 'Choose a folder.');
  makeFolder(dirname(folder));
  try {
    mkdirSync(folder);
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'EEXIST') return;
    if (code === 'ENOENT' || code === 'ENOTDIR') throw new WrongPath(`${folder} cannot be made.`, 'Choose another folder.');
    throw error;
  }
}

function isFolder(path: string): boolean {
  return existsSync(path) && statSync(path).isDirectory();
}
