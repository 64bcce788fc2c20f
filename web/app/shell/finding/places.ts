/** Where to go, by what people say: each with the words that are used for it beside its name. */

export type Place = {
  readonly name: string;
  /** `:piece` stands for the piece at hand. */
  readonly to: string;
  readonly words: string;
};

/** Of one piece; the piece at hand comes first. */
export const PIECE_PLACES: readonly Place[] = [
  {
    name: 'Walk round it: aim, scope, pictures and marks',
    to: '/pieces/:piece/survey?view=walk',
    words:
      'survey wish aim preserve conserve repaint restore goal scope outside inside bare how far whose owner friend picture pictures photograph photo views six dent rust mark damage float test scratch magnet material unknown what is it made of lit lamp small children food bread lead old paint as the factory left it factory sprayed assembled scale guesses sharpen',
  },
  {
    name: 'Parts and sizes',
    to: '/pieces/:piece/survey?view=parts',
    words:
      'part parts add remove take out size sizes measure length face faces inside area holes hole drilled countersinks copies count mesh stl model donor spare provenance made printed weight grams plated vents grille one more part replace cut off runners insulation tank',
  },
  {
    name: 'Taking apart: posts, screws, bags',
    to: '/pieces/:piece/survey?view=apart',
    words:
      'take apart teardown disassemble open rivet riveted post posts diameter drill bit thread tap screw screws fastening fastenings broke break breaks removal come off glue cement axle axles bag bags label hinge hinges pin',
  },
  {
    name: 'References: what its colours are read from',
    to: '/pieces/:piece/survey?view=colours',
    words:
      'reference colour color read reading original shade match sample chip spot grey card picture target targets approve approval sketch',
  },
  {
    name: 'Strip: methods, patches and outcomes',
    to: '/pieces/:piece/strip',
    words:
      'strip stripper stripping gel soak bath caustic alcohol thinner rub patch remover chlorinated blast blasting scuff brush wire wheel spin rust old enamel paint wrinkles dwell laboratory lead lifts print compare methods dip cleaner came clean no effect took off',
  },
  {
    name: 'Surface: filling, sanding, the gate before primer',
    to: '/pieces/:piece/strip?view=surface',
    words:
      'prep surface fill filler putty sand sanding paper papers grit p400 p600 flat flatting ladder gate countersinks tick metal prep phosphoric straighten bent bend dent weld clean degrease wash tack key prime ready for primer nozzle',
  },
  {
    name: 'Coats: layers, primer, colour, clear',
    to: '/pieces/:piece/coats',
    words:
      'coat coats layer layers stack film primer without primer etch epoxy undercoat colour base clear gloss matt satin lacquer enamel candy metallic silver texture sealer dye system compare systems joint verdict window recoat sits stop crazes order more coats thin thinner tone sheen warm oven heat bake decide against clear swap grey white black custom can airbrush brush spray tin',
  },
  { name: 'Sample boards and tiles', to: '/pieces/:piece/coats', words: 'sample board test tile try scrap trial spray out card' },
  {
    name: 'Masking: zones, lines, tape and order',
    to: '/pieces/:piece/masking',
    words:
      'mask masking tape line lines stripe stripes band bands divide division zone zones two colours edge bleeds stencil stencils template cover covers plug plugs window windows glazing diamond diamonds shape shapes trace cut rings pinstripe lining order of colours when may tape liquid',
  },
  {
    name: 'Details and decals',
    to: '/pieces/:piece/masking?view=details',
    words:
      'decal decals transfer waterslide vinyl letters lettering number numbers tears torn spare printed details wash weathering pick out panel line rims bright film silvering softener gloss first solution logo sticker',
  },
  {
    name: 'Finish and fit: order of parts, own steps, polish',
    to: '/pieces/:piece/finish',
    words:
      'finish fit fitting assemble put together reassemble hang glue felt pad rubber wire badge saddle handle seal polish compound wax buff step of my own own steps task touch up touch-up chip defect hair dust run inspection look again close halves goes together tyre before',
  },
  {
    name: 'Dates: when, and what would make it sooner',
    to: '/pieces/:piece/dates',
    words:
      'date dates when ready needed by deadline day earlier sooner late later can it be done today tomorrow tonight schedule plan evenings what if parcel parcels delivery arrive slips delayed lay aside pause hold wait why then first last turn minutes takes how long agree guest ride hours',
  },
  {
    name: 'Money: cost, budget, worth it',
    to: '/pieces/:piece/money',
    words:
      'money cost costs price budget over cheap cheaper save saving worth it estimate bill paid spend ration what does it cost afford only',
  },
  { name: 'Estimate to print', to: '/pieces/:piece/print/estimate', words: 'estimate print offer bill paper somebody else friend owner' },
  { name: 'Job card to print', to: '/pieces/:piece/print/card', words: 'job card print paper sheet labels' },
  {
    name: 'Record: what was done, lessons',
    to: '/pieces/:piece/record',
    words:
      'record history lesson learned done log entries before after work already done add what was done provenance late entry forgot yesterday keep note',
  },
];

export const PLACES: readonly Place[] = [
  {
    name: 'Tonight: what to do now',
    to: '/',
    words:
      'tonight today now what do i do now next next step start session stay evening minutes i have tick sheet lay out bench not today can i spray tonight',
  },
  {
    name: 'At the bench: done, wait, trouble',
    to: '/bench',
    words:
      'bench done wait trouble countdown fault run drip orange peel dust blush dry tacky log first coat minute missed burn-through alarm took minutes',
  },
  { name: 'Pieces', to: '/pieces', words: 'pieces jobs all duplicate remove finished projects list' },
  { name: 'Add a piece', to: '/pieces/new', words: 'add new piece another job begin start kit' },
  {
    name: 'Drying board',
    to: '/board',
    words: 'drying board gantt calendar hanging wet open shut pegs timeline move drag pin week common plan move what dries',
  },
  {
    name: 'Paint shelf: cans, papers, tape, stock',
    to: '/shelf',
    words:
      'shelf can cans tin tins jar jars bottle paint paints lot stock owned weigh left over how much is left papers tape thinner goods supplies nozzle product sheet label unlabelled hardener ratio pot life mix lives 5:1 7:1 8:1',
  },
  {
    name: 'Buying: what, where, by when',
    to: '/buying',
    words:
      'buy buying shop shopping list order purchase need short runs out of primer out of stock near shop delivery paint for it ways to save',
  },
  {
    name: 'Shops and prices',
    to: '/buying/shops',
    words: 'shop shops price prices offer offers stock delivery minimum another shop out of cannot be had',
  },
  {
    name: 'Colour: mix, match, tint, jars',
    to: '/colour',
    words:
      'colour color mix mixing recipe tint drops tone match cup pour pour together reopen the mix too dark way back jar nearest paint chart charts palette black at once base grams bottle custom colour kept target',
  },
  { name: 'Log', to: '/log', words: 'log diary history entries note what was done late entry typed forgotten lesson find an entry' },
  {
    name: 'Air and places: temperature, damp, wind, sun',
    to: '/workshop',
    words:
      'workshop air temperature humidity damp dew wind sun cold hot garage shed room balcony loft outdoors reads °c reading type forecast sensor places heated usual month surface tube carry in',
  },
  {
    name: 'Free hours, quiet hours, calendars',
    to: '/workshop',
    words:
      'hours free evenings when am i free away holiday busy calendar quiet neighbours longest stay time zone saturday sunday more evening',
  },
  {
    name: 'Tools, oven, tubs, drying places',
    to: '/workshop',
    words: 'tool tools oven low oven airbrush gun compressor tub drying places pegs booth hooks own minutes clean up set up heat',
  },
  { name: 'Phone at the bench', to: '/workshop', words: 'phone mobile pair code qr on the phone' },
  {
    name: 'Copies, export, import',
    to: '/workshop#copies',
    words: 'copy copies backup restore export import file save undo everything go back json zip csv',
  },
  {
    name: 'Units, money, look',
    to: '/workshop',
    words: 'units inches mm fahrenheit ounces currency language clock 12-hour dark light theme settings preferences',
  },
];
