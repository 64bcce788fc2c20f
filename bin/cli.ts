import { readFileSync } from 'node:fs';
import { ownedFamilies } from '#core/buying/index';
import { knownIn, remediesFor } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import { type Facts, type Problem, shiftFile } from '#core/facts/index';
import { plan } from '#core/plan/index';
import { toMinute } from '#core/units/index';
import { askSolved, checkRows, findingRows, planJson, questionSchemas } from '#core/ask/index';
import { readWorkshopFile } from '#core/admission/index';
import { solveWithHighs } from '../solver/highs.ts';
import { isZip, unpacked } from '../server/archive.ts';
import { fileToRead, WrongPath } from '../server/paths.ts';
import { BadFact } from '../server/store/refusals.ts';
import type { DataCommand } from './dataCommands.ts';

/** The command line: the same core as the screens use. JSON on stdout, messages on stderr. */

const USAGE = `Usage:
  enamelos plan FILE [--now TIME] [--shift]   the whole plan as JSON
  enamelos check FILE [--now TIME] [--shift]  verdicts; exit 1 when one of them is a stop
  enamelos check FILE --sense                 what a practitioner who reads the plan would call out
  enamelos ask QUESTION < in.json             one answer, or an array of them
  enamelos ask --list                         the questions with their JSON Schemas
  enamelos export FILE                        the workshop as a file: .json, or .zip with its pictures
  enamelos import FILE                        the workshop becomes what the file holds; a copy is made first
  enamelos backup DIR                         one more copy of everything, while the program may be running
  enamelos restore FILE                       back to a copy; what stands now is copied first
The workshop is the one in ENAMELOS_DATA, or in ./data. import and restore need it closed.
Exit codes: 0 done or answered, 1 check found a stop, 2 unreadable or bad input, 3 the workshop cannot be opened or written.`;

async function main(argv: readonly string[]): Promise<number> {
  const [command, target] = argv;
  if (isDataCommand(command) && target) return (await import('./dataCommands.ts')).runDataCommand(command, target, refuse);
  if (command === 'ask' && target === '--list') return print(questionSchemas());
  if (command === 'ask' && target) return answerAll(target);
  if ((command === 'plan' || command === 'check') && target) return planFile(command, target, argv);
  process.stderr.write(`${USAGE}\n`);
  return command === '--help' || command === 'help' ? 0 : 2;
}

/** Opened only when asked for: they bring the database along. */
const DATA_COMMANDS: readonly DataCommand[] = ['export', 'import', 'backup', 'restore'];

function isDataCommand(command: string | undefined): command is DataCommand {
  return (DATA_COMMANDS as readonly (string | undefined)[]).includes(command);
}

function print(value: unknown): number {
  process.stdout.write(`${JSON.stringify(value, null, 1)}\n`);
  return 0;
}

function refuse(problem: Problem): number {
  process.stderr.write(`${JSON.stringify(problem)}\n`);
  return 2;
}

function option(argv: readonly string[], name: string): string | undefined {
  const index = argv.indexOf(name);
  return index >= 0 ? argv[index + 1] : undefined;
}

async function planFile(command: 'plan' | 'check', path: string, argv: readonly string[]): Promise<number> {
  let text: string;
  try {
    text = await workshopText(readFileSync(fileToRead(path)));
  } catch (error) {
    if (error instanceof BadFact) return refuse(error.problem);
    if (error instanceof WrongPath) return refuse({ error: error.said, at: '(file)', mend: error.mend });
    return refuse({ error: `Cannot read ${path}: ${(error as Error).message}`, at: '(file)', mend: 'Name a workshop file that exists.' });
  }
  const read = readWorkshopFile(text);
  if (!read.ok) return refuse(read.problem);
  const asked = option(argv, '--now');
  const now = asked === undefined ? toMinute(read.value.writtenAt) : toMinute(asked);
  if (!Number.isFinite(now)) return refuse({ error: `"${asked}" is no time`, at: '--now', mend: 'Write it like 2026-12-01T19:00:00Z.' });
  const { facts } = argv.includes('--shift') ? shiftFile(read.value, now) : read.value;
  if (command === 'check' && argv.includes('--sense')) return print({ findings: findingRows(facts, now) });
  return command === 'plan' ? printPlan(facts, now) : printCheck(facts, now);
}

/** A workshop file as text, out of its zip where it is one. */
async function workshopText(file: Buffer): Promise<string> {
  return isZip(file) ? (await unpacked(file)).text : file.toString('utf8');
}

function planned(facts: Facts, now: number) {
  const result = plan({ facts, now, conditions: conditionsOf(facts, now) });
  const owned = ownedFamilies(facts);
  const rows = checkRows(result, facts, ({ joint }) =>
    remediesFor(joint.below, joint.above, knownIn(joint.answer), owned).map((remedy) => `${remedy.text} (${remedy.verdict})`),
  );
  return { result, rows };
}

function printPlan(facts: Facts, now: number): number {
  const { result, rows } = planned(facts, now);
  return print(planJson(result, facts, rows));
}

function printCheck(facts: Facts, now: number): number {
  const { rows } = planned(facts, now);
  print(rows);
  return rows.some((row) => row.verdict === 'stop') ? 1 : 0;
}

async function answerAll(question: string): Promise<number> {
  let input: unknown;
  try {
    input = JSON.parse(readFileSync(0, 'utf8'));
  } catch (error) {
    return refuse({
      error: `The input is no JSON: ${(error as Error).message}`,
      at: '(input)',
      mend: 'Give one JSON object or an array of them on standard input.',
    });
  }
  if (Array.isArray(input)) {
    const answers: object[] = [];
    for (const item of input) {
      const answered = await askSolved(question, item, solveWithHighs);
      answers.push(answered.ok ? answered.answer : answered.problem);
    }
    return print(answers);
  }
  const answered = await askSolved(question, input, solveWithHighs);
  return answered.ok ? print(answered.answer) : refuse(answered.problem);
}

process.exitCode = await main(process.argv.slice(2));
