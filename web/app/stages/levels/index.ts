/** The levels stage as the desk opens it. */
export { LevelsPanel } from './LevelsPanel.tsx';
export { LongSectionView } from './LongSectionView.tsx';
export { StackView } from './StackView.tsx';
