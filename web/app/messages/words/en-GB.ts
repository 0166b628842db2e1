/** Words of crews in Britain and Ireland. */
import type { Rule } from './rules.ts';

const BOARDS = /^(boards|lower\.boards|drawing\.drawn\.board|fields\.board)/;
const TRUCKS = /^(trucks|lower\.trucks|work\.(loads|trucks)|input\.truck$|sheet\.(haul|orHaul))/;
const LIFTS =
  /^(base|proof|baseSheet|softSpot|stoneFooting|layer|work\.lifts|input\.lift|tally\.stone|sheet\.(stoneFooting|layer)|caution\.lift|lift)/;
const SIDES = /^(ways|dig\.slope|work\.overdig\.sides|caution\.caveIn|sheet\.side)/;

export const rules: readonly Rule[] = [
  { from: 'lean concrete layer', to: 'blinding' },
  { from: 'lean concrete', to: 'blinding' },
  { from: 'crushed stone', to: 'crushed rock' },
  { from: 'boards', to: 'profiles', keys: BOARDS },
  { from: 'board', to: 'profile', keys: BOARDS },
  { from: 'set-out', to: 'setting-out' },
  { from: 'set out', to: 'setting out', keys: /^(stage|plan)\./ },
  { from: 'datum mark', to: 'TBM' },
  { from: 'datum', to: 'TBM' },
  { from: 'trucks', to: 'tippers', keys: TRUCKS },
  { from: 'truck', to: 'tipper', keys: TRUCKS },
  { from: 'haul away', to: 'muck away' },
  { from: 'wall', to: 'rising wall', keys: /^(dig\.stem|fields\.stem)/ },
  { from: 'lifts', to: 'layers', keys: LIFTS },
  { from: 'lift', to: 'layer', keys: LIFTS },
  { from: 'side slopes', to: 'batters', keys: SIDES },
  { from: 'slope back', to: 'batter back', keys: SIDES },
  { from: 'slope', to: 'batter', keys: SIDES },
  { from: 'rammer', to: 'trench rammer' },
  { from: 'membrane', to: 'DPM' },
];
