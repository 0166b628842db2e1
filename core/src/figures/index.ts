export { untold } from './line.ts';
export {
  COMPARED,
  type ComparedId,
  FIGURE_IDS,
  FIGURES,
  type FigureId,
  type Figures,
  figuresOf,
} from './table.ts';
