import Database from 'better-sqlite3';
import { join } from 'node:path';
import { BadSetting } from '../badSetting.ts';
import { diskTroubleOf } from './diskTrouble.ts';

/**
 * Keeps the folder to one program: an exclusive transaction on a file beside the workshop, which the system frees when
 * the process ends, however it ends. Returns how to free it. @throws BadSetting when another has it
 */
export function lockFolder(folder: string): () => void {
  const db = new Database(join(folder, 'workshop.lock'), { timeout: 0 });
  try {
    db.exec('BEGIN EXCLUSIVE');
  } catch (error) {
    db.close();
    if ((error as { code?: unknown }).code === 'SQLITE_BUSY')
      throw new BadSetting(`${folder} is open in another Enamelos. Use that one, or stop it first.`);
    throw diskTroubleOf(error) ?? error;
  }
  return () => db.close();
}
