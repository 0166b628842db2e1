export { untold } from './line.ts';
export { FIGURE_IDS, FIGURES, type FigureId, type Figures, figuresOf } from './table.ts';
