import { readFileSync, writeFileSync } from 'node:fs';
import { supplyText } from '#core/amounts/index';
import { readWorkshopFile } from '#core/admission/index';
import { checkRows, planJson } from '#core/ask/index';
import { newWorkshop, ownedFamilies, type PurchaseLine, starterShelf } from '#core/buying/index';
import { knownIn, remediesFor } from '#core/coats/index';
import { conditionsOf } from '#core/drying/index';
import {
  EMPTY_FACTS,
  type Facts,
  type Family,
  MARK_KINDS,
  MENDS,
  type Role,
  MATERIALS,
  newPart,
  newPiece,
  type Part,
  type Piece,
  plain,
  severitySchema,
  shiftFile,
  type DoneEvent,
  type Hand,
} from '#core/facts/index';
import { dressedPiece } from '#core/invented/index';
import { draftPiece, plan, type PieceView, type PlannedStep, planView, type PlanView, type QuickAnswers } from '#core/plan/index';
import { partAreaCm2 } from '#core/survey/index';
import { toIso } from '#core/units/index';

/** Whole jobs as they are planned, one below the other: `npm run jobs`. What a change does to a job is read in its diff. */

const target = new URL('./jobs.md', import.meta.url);
const demoTarget = new URL('./demo-plan.json', import.meta.url);
const NOW = Date.UTC(2026, 11, 1, 18) / 60_000;
const LAST_NIGHT = NOW - 21 * 60;
const RED = { name: 'red', hex: '#c23a2a' };
const CREAM = { name: 'cream', hex: '#e6dcc0' };
const SILVER = { name: 'silver', hex: '#b9bcc0' };

type Answers = Pick<QuickAnswers, 'looksLike' | 'longestMm' | 'aim'> & Partial<QuickAnswers> & { readonly hands?: readonly Hand[] };
const DRAFTED: readonly (readonly [string, Answers])[] = [
  ['A casting of 60 mm', { looksLike: 'cast-body', longestMm: 60, aim: 'own-scheme' }],
  [
    'A casting of 140 mm in two colours, scale 1:43',
    { looksLike: 'cast-body', longestMm: 140, aim: 'as-original', colours: [RED, CREAM], scale: 43 },
  ],
  ['A pressed-steel toy of 280 mm', { looksLike: 'pressed-toy', longestMm: 280, aim: 'as-original' }],
  ['The same toy, aged on purpose', { looksLike: 'pressed-toy', longestMm: 280, aim: 'aged' }],
  ['Wheels and axles', { looksLike: 'wheels-axles', longestMm: 40, aim: 'as-original', colours: [SILVER] }],
  ['A wire cage', { looksLike: 'wire-cage', longestMm: 300, aim: 'serviceable' }],
  ['A perforated case of 320 mm', { looksLike: 'sheet-case', longestMm: 320, aim: 'as-original' }],
  ['A plastic shell, hardest-wearing', { looksLike: 'plastic-shell', longestMm: 200, aim: 'own-scheme', system: 'hardest' }],
  ['A set of brackets, cheapest', { looksLike: 'bracket-set', longestMm: 120, aim: 'serviceable', system: 'cheapest' }],
  ['A panel of 1.3 m', { looksLike: 'large-panel', longestMm: 1300, aim: 'serviceable' }],
  ['A tank of 400 mm', { looksLike: 'tank', longestMm: 400, aim: 'serviceable' }],
  ['A kit with clear parts', { looksLike: 'clear-kit', longestMm: 240, aim: 'own-scheme', colours: [RED, CREAM] }],
  ['A wooden body', { looksLike: 'wooden-body', longestMm: 260, aim: 'own-scheme' }],
  ['A grained trim of 600 mm', { looksLike: 'grained-trim', longestMm: 600, aim: 'serviceable' }],
  ['A tinplate toy to preserve', { looksLike: 'tinplate-toy', longestMm: 150, aim: 'preserve', colours: [] }],
  ['A tinplate toy to repaint', { looksLike: 'tinplate-toy', longestMm: 150, aim: 'as-original' }],
  ['Something of one part', { looksLike: 'something-else', longestMm: 90, aim: 'serviceable' }],
  ['A casting primed last night', { looksLike: 'cast-body', longestMm: 90, aim: 'own-scheme', whereNow: 'primed', since: LAST_NIGHT }],
  ['A casting cleared last night', { looksLike: 'cast-body', longestMm: 90, aim: 'own-scheme', whereNow: 'cleared', since: LAST_NIGHT }],
  [
    'The casting by airbrush and gun',
    { looksLike: 'cast-body', longestMm: 60, aim: 'own-scheme', colours: [SILVER], hands: ['airbrush', 'gun'] },
  ],
  ['A bare bracket set', { looksLike: 'bracket-set', longestMm: 120, aim: 'serviceable', whereNow: 'bare' }],
];

const box = (longMm: number, shortMm: number): Part['faces'] => [{ id: 'f', zoneId: 'all', longMm, shortMm, count: 2, seen: true }];
const oneOfEach = (id: string, parts: readonly Part[]): Piece =>
  newPiece({ id, name: id, looksLike: 'something-else', longestMm: 200, createdAt: toIso(NOW), leadExcluded: true, parts: [...parts] });
const primed: Part['layers'] = [
  {
    id: 'primer',
    wanted: { family: 'lacquer-primer', role: 'primer', name: 'grey primer', lab: { l: 60, a: 0, b: 0 } },
    coats: 2,
    covers: 'all',
  },
];
const partOf = (id: string, more: Partial<Part>) =>
  newPart({ id, name: id, material: 'steel', finish: 'flaking', faces: box(120, 80), layers: primed, ...more });

const BARE: readonly (readonly [string, Partial<Part>])[] = [
  ['steel-oil', { bareCare: { brighten: 'brighten', protect: 'oil' } }],
  ['brass-wax', { material: 'brass', bareCare: { brighten: 'polish', protect: 'wax' } }],
  ['aluminium-clear', { material: 'aluminium', bareCare: { brighten: 'polish', protect: 'clear' } }],
  ['zinc-plated', { material: 'zinc', bareCare: { brighten: 'plate', protect: 'none' } }],
];

const wantedLayer = (id: string, family: Family, role: Role, coats: number): Part['layers'][number] => ({
  id,
  wanted: { family, role, name: `${plain(family)}, ${id}`, lab: { l: 45, a: 40, b: 20 } },
  coats,
  covers: 'all',
});
const TWO_PACK = [
  wantedLayer('epoxy', 'epoxy-primer', 'primer', 1),
  wantedLayer('base', 'solvent-base', 'colour', 2),
  wantedLayer('clear', 'urethane-2k', 'clear', 2),
];
const HOBBY = [
  wantedLayer('sealer', 'waterborne-sealer', 'primer', 2),
  wantedLayer('candy', 'candy', 'colour', 3),
  wantedLayer('clear', 'water-acrylic', 'clear', 2),
];

const MADE: readonly (readonly [string, Piece])[] = [
  ['A tram in five zones, with details, decals, glazing and a light test', dressedPiece(NOW)],
  ['A case in epoxy, base and two-pack clear', oneOfEach('case', [partOf('case', { layers: TWO_PACK, faces: box(320, 200) })])],
  ['A shell in hobby paints', oneOfEach('shell', [partOf('shell', { material: 'abs', layers: HOBBY, printed: false })])],
  [
    'Every mend on steel',
    oneOfEach(
      'mends',
      MENDS.map((mend) => partOf(mend, { finish: 'bare', marks: [{ id: 'm', kind: 'gouge', severity: 'marked', where: 'middle', mend }] })),
    ),
  ],
  [
    'Every material, with flaking paint',
    oneOfEach(
      'materials',
      MATERIALS.map((material) => partOf(material, { material })),
    ),
  ],
  [
    'Every material, with sound paint to keep',
    oneOfEach(
      'sound',
      MATERIALS.map((material) => partOf(material, { material, finish: 'sound', stripMethod: 'scuff' })),
    ),
  ],
  [
    'Parts that stay bare by choice',
    oneOfEach(
      'bare',
      BARE.map(([id, more]) =>
        partOf(id, { finish: 'bare', layers: [], zones: [{ id: 'all', name: 'all over', bare: 'bare by choice' }], ...more }),
      ),
    ),
  ],
  ...(['steel', 'zinc', 'abs'] as const).map(
    (material) =>
      [
        `Every mark on ${plain(material)}`,
        oneOfEach(
          `marks-${material}`,
          MARK_KINDS.flatMap((kind) =>
            severitySchema.options.map((severity) =>
              partOf(`${kind}-${severity}`, { material, finish: 'bare', marks: [{ id: 'm', kind, severity, where: 'middle' }] }),
            ),
          ),
        ),
      ] as const,
  ),
];

function workshopWith(piece: Piece, events: readonly DoneEvent[], hands: readonly Hand[] = ['aerosol']): Facts {
  const { workshop, places } = newWorkshop('Europe/Lisbon');
  const own = { ...workshop, started: true, hands: [...hands] };
  return { ...EMPTY_FACTS, ...starterShelf(), workshop: [own], places, pieces: [piece], events: [...events] };
}

function drafted({ hands = ['aerosol'], ...answers }: Answers): Facts {
  let ids = 0;
  const { workshop } = newWorkshop('Europe/Lisbon');
  const whole = { name: 'Job', whereNow: 'untouched' as const, colours: [RED], ...answers };
  const { piece, events } = draftPiece(whole, NOW, hands, () => `n${++ids}`, [], workshop.dryPlaceId);
  return workshopWith(piece, events, hands);
}

const money = (minor: number) => (minor / 100).toFixed(2);
const figure = (value: number) => String(Math.round(value * 10) / 10);
const afterStart = (at: number | null) => (at === null ? 'no date' : `${((at - NOW) / 1440).toFixed(2)} d`);

function jobText(title: string, facts: Facts): string {
  const whole = planView(plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) }));
  const buys = whole.purchases.shops.flatMap((shop) => shop.lines.map(lineText));
  return [`## ${title}`, '', ...facts.pieces.flatMap((piece) => pieceText(piece, viewOf(whole, piece), whole.steps)), ...buys, ''].join(
    '\n',
  );
}

function viewOf({ pieces }: PlanView, piece: Piece): PieceView {
  const view = pieces.find(({ pieceId }) => pieceId === piece.id);
  if (!view) throw new Error(`${piece.name} is not planned.`);
  return view;
}

function pieceText(piece: Piece, view: PieceView, steps: readonly PlannedStep[]): string[] {
  const { money: cost } = view;
  const said = [view.stopped, view.undecided, view.noDateWhy, ...view.missing, ...view.notes, ...view.beyond].filter(Boolean);
  return [
    `**${piece.name}**: ${figure(view.attendedMinutes)} min at the bench in ${view.sessions} sessions; likely ${afterStart(view.likely)}, safe ${afterStart(view.safe)}; ${money(cost.total)} in all, of it ${money(cost.consumables)} for what is used up.`,
    '',
    ...said.map((text) => `- ${text}`),
    ...piece.parts.map((part) => partText(part, view)),
    '',
    ...steps.filter((step) => step.pieceId === piece.id).map((step) => stepText(step, piece)),
    '',
    ...cost.supplies.map(
      (line) => `- ${line.kind}${line.spec ? ` ${line.spec}` : ''}: ${figure(line.amount)} ${line.unit}, ${money(line.cost)}`,
    ),
    '',
  ];
}

function lineText({ name, count, pack, unit, price, neededBy }: PurchaseLine): string {
  return `- buy ${count} × ${supplyText(pack, unit)} ${name} for ${money(price)}, needed after ${afterStart(neededBy)}`;
}

function partText(part: Part, view: PieceView): string {
  const faces = part.faces.map(
    (face) => `${face.count} × ${figure(face.longMm)} × ${figure(face.shortMm)} ${face.seen ? 'seen' : 'hidden'}`,
  );
  const stack = view.stacks[part.id];
  const strip = view.strips[part.id];
  const joints = view.joints
    .filter((joint) => joint.partId === part.id)
    .map(({ joint }) => `${joint.answer.verdict} (${joint.answer.rule})`);
  const layers = stack.layers.map(
    (own) => `${own.coats} × ${own.name} ${figure(own.um)} µm ${figure(own.mlPerCoat)} mL a coat by ${own.holds}`,
  );
  return `- **${part.name}** × ${part.copies}, ${plain(part.material)}, ${figure(partAreaCm2(part))} cm²: ${faces.join(', ')}${strip?.method ? `; ${plain(strip.method)}: ${strip.because}` : ''}${layers.length > 0 ? `; ${layers.join(', ')}; ${figure(stack.filmUm)} µm` : ''}${joints.length > 0 ? `; ${joints.join(', ')}` : ''}${[...stack.needs].map((need) => `; ${need}`).join('')}`;
}

function stepText(step: PlannedStep, piece: Piece): string {
  const on = step.on.map(({ partId }) => piece.parts.find((part) => part.id === partId)?.name ?? partId);
  const start = step.placed ? `+${((step.placed.start - NOW) / 60).toFixed(2)} h` : 'no date';
  const coat = step.coat ? `; ${figure(step.coat.ml)} mL sprayed, ${figure(step.coat.paintMl)} paint, ${figure(step.coat.filmUm)} µm` : '';
  const window = step.window?.to ? `; shuts ${((step.window.to - NOW) / 60).toFixed(2)} h` : '';
  const uses = step.supplies.map((line) => `${line.kind}${line.spec ? ` ${line.spec}` : ''} ${figure(line.amount)}`).join(', ');
  return `1. ${start}, ${figure(step.minutes)} min (${figure(step.setup - (step.placed?.saved ?? 0))} set-up): **${step.title}** – ${step.detail || '–'} – ${on.length > 6 ? `${on.length} parts` : on.join(', ')}${coat}${window}${uses ? `; uses ${uses}` : ''}${step.afterwards ? `; ${step.afterwards}` : ''}${step.unplacedWhy ? `; ${step.unplacedWhy}` : ''}${step.stopped ? `; stopped: ${step.stopped}` : ''}`;
}

function demoWorkshop(): Facts {
  const read = readWorkshopFile(readFileSync(new URL('../demo/breakwater.json', import.meta.url), 'utf8'));
  if (!read.ok) throw new Error(read.problem.error);
  return shiftFile(read.value, NOW).facts;
}

export function jobsText(): string {
  const jobs = [
    jobText('The demo workshop', demoWorkshop()),

    ...DRAFTED.map(([title, answers]) => jobText(title, drafted(answers))),
    ...MADE.map(([title, piece]) => jobText(title, workshopWith(piece, [], ['aerosol', 'airbrush', 'gun']))),
  ];
  return `# Whole jobs\n\nWritten by \`npm run jobs\` from the code as it is, and held against it by a test: what a change does to whole jobs is read in this file's diff. Times count from the evening of the plan.\n\n${jobs.join('\n')}`.replace(
    /\n{3,}/g,
    '\n\n',
  );
}

/** The demo as `bin/enamelos plan` answers it, with what hangs and what is to be bought; figures to two places. */
export function demoPlanText(): string {
  const facts = demoWorkshop();
  const whole = plan({ facts, now: NOW, conditions: conditionsOf(facts, NOW) });
  const rows = checkRows(whole, facts, ({ joint }) =>
    remediesFor(joint.below, joint.above, knownIn(joint.answer), ownedFamilies(facts)).map(({ text }) => text),
  );
  const answer = { ...planJson(whole, facts, rows), hanging: whole.hanging, moments: whole.moments };
  return `${JSON.stringify(answer, (_key, value) => (typeof value === 'number' ? Math.round(value * 100) / 100 : value), 1)}\n`;
}

export function jobsAreCurrent(): boolean {
  return readFileSync(target, 'utf8') === jobsText() && readFileSync(demoTarget, 'utf8') === demoPlanText();
}

if (process.argv[1]?.endsWith('writeJobs.ts')) {
  writeFileSync(target, jobsText());
  writeFileSync(demoTarget, demoPlanText());
}
