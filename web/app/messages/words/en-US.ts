/** Words of crews in the United States. */
import type { Rule } from './rules.ts';

const BOARDS = /^(boards|lower\.boards|drawing\.drawn\.board|fields\.board)/;
const TRUCKS = /^(trucks|lower\.trucks|work\.(loads|trucks)|sheet\.(haul|orHaul))/;
const SERVICES = /^(hold\.keepOff|hazard\.kind|caution\.services|machine\.handServices)/;

export const rules: readonly Rule[] = [
  { from: 'formation', to: 'subgrade' },
  { from: 'lean concrete layer', to: 'mud slab' },
  { from: 'lean concrete', to: 'mud slab' },
  { from: 'blinding', to: 'mud slab' },
  { from: 'hardcore', to: 'crushed base' },
  { from: 'boards', to: 'batter boards', keys: BOARDS },
  { from: 'board', to: 'batter board', keys: BOARDS },
  { from: 'set-out', to: 'layout' },
  { from: 'set out', to: 'layout' },
  { from: 'datum mark', to: 'benchmark' },
  { from: 'datum', to: 'benchmark' },
  { from: 'trial pits', to: 'test pits' },
  { from: 'trial pit', to: 'test pit' },
  { from: 'services', to: 'utilities', keys: SERVICES },
  { from: 'service', to: 'utility', keys: SERVICES },
  { from: 'tipper bodies', to: 'dump truck bodies' },
  { from: 'downpipes', to: 'downspouts' },
  { from: 'downpipe', to: 'downspout' },
  { from: 'petrol', to: 'gas', keys: /^(night\.pumps|machine\.|pump)/ },
  { from: '0\\.075 mm', to: 'the No. 200 sieve' },
  { from: 'clear stone', to: '#57 stone', keys: /^bedMaterial/ },
  { from: 'fine crushed stone', to: '#8 stone', keys: /^bedMaterial/ },
  { from: 'trucks', to: 'dump trucks', keys: TRUCKS },
  { from: 'truck', to: 'dump truck', keys: TRUCKS },
  { from: 'haul away', to: 'haul off' },
  { from: 'pads', to: 'spread footings' },
  { from: 'pad', to: 'spread footing' },
  { from: 'wall', to: 'stem wall', keys: /^(rising\.(title|has|makesTitle)|fields\.stem)/ },
  { from: 'rammer', to: 'jumping jack' },
  { from: 'membrane', to: 'vapor barrier' },
  { from: 'metres', to: 'meters' },
  { from: 'metre', to: 'meter' },
  { from: 'litres', to: 'liters' },
  { from: 'levelled', to: 'leveled' },
  { from: 'centre', to: 'center' },
  { from: 'neighbour’s', to: 'neighbor’s' },
  { from: 'neighbours’', to: 'neighbors’' },
  { from: 'neighbours', to: 'neighbors' },
  { from: 'neighbour', to: 'neighbor' },
  { from: 'colour', to: 'color' },
];
