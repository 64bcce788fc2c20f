import type { Act, Fitting } from '#core/facts/index';

/** What a step of one's own is likely to do, by the words of its name: a guess that stands in the form and is changed in one press. */

type Guess = { readonly acts: readonly Act[]; readonly fits?: Fitting };

const GUESSES: readonly (readonly [RegExp, Guess])[] = [
  [/\b(window|glaz|pane|lens|screen)/i, { acts: ['glue-on'], fits: 'glazing' }],
  [/\b(felt|foam|pad|cushion|leather)/i, { acts: ['glue-on'], fits: 'pad' }],
  [/\b(seal|gasket|draught)/i, { acts: ['glue-on'], fits: 'seal' }],
  [/\b(tyre|tire|rubber|grommet|bumper)/i, { acts: ['slide-on'], fits: 'rubber' }],
  [/\b(wire|wiring|lamp|led|cable)/i, { acts: ['screw-on'], fits: 'wire' }],
  [/\b(badge|plate|emblem)/i, { acts: ['glue-on'], fits: 'badge' }],
  [/\b(vinyl|sticker)/i, { acts: ['press-on'], fits: 'decal' }],
  [/\b(hang|align)/i, { acts: ['hang'] }],
  [/\b(close|join|shut)/i, { acts: ['close'] }],
  [/\b(drill|tap)\b/i, { acts: ['drill'] }],
  [/\b(hinge|screw|bolt|nut)/i, { acts: ['screw-on'] }],
  [/\b(slide|push on|clip)/i, { acts: ['slide-on'] }],
  [/\bglue|stick\b/i, { acts: ['glue-on'] }],
  [/\b(spirit|solvent|thinner|acetone|alcohol|wipe)/i, { acts: ['solvent-wipe'] }],
  [/\b(wash|rinse)/i, { acts: ['water-wash'] }],
  [/\b(wet sand)/i, { acts: ['wet-sand'] }],
  [/\b(sand|file|grind)/i, { acts: ['dry-sand'] }],
  [/\b(polish|wax|buff)/i, { acts: ['polish'] }],
  [/\b(oven|bake|warm|heat)/i, { acts: ['heat'] }],
  [/\b(sheet|cover|wrap)/i, { acts: ['cover'] }],
  [/\b(tape|mask)/i, { acts: ['tape'] }],
  [/\b(photograph|measure|picture)/i, { acts: ['record'] }],
  [/\b(test|try)/i, { acts: ['test'] }],
];

/** The first word that says something; else it is only handled. */
export function actsBySound(name: string): Guess {
  return GUESSES.find(([words]) => words.test(name))?.[1] ?? { acts: ['handle'] };
}
