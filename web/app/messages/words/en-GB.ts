/** Words of crews in Britain and Ireland. */
import type { Rule } from './rules.ts';

const BOARDS = /^(boards|lower\.boards|drawing\.drawn\.board|fields\.board)/;
const TRUCKS =
  /^(trucks|lower\.trucks|work\.(loads|trucks)|machine\.|sheet\.(haul|orHaul)|fields\.trucks|dig\.trip|work\.mixed)/;
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
  { from: 'wall', to: 'rising wall', keys: /^(rising\.(title|has|makesTitle)|fields\.stem)/ },
  { from: 'side slopes', to: 'batters', keys: SIDES },
  { from: 'slope back', to: 'batter back', keys: SIDES },
  { from: 'slope', to: 'batter', keys: SIDES },
  { from: 'rammer', to: 'trench rammer' },
  { from: 'membrane', to: 'DPM' },
];
