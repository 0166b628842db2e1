/** The set-out stage as the desk opens it. */
export { BoardsTable } from './BoardsTable.tsx';
export { CheckSheet } from './CheckSheet.tsx';
export { SetoutLayer } from './SetoutLayer.tsx';
export { SetoutPanel } from './SetoutPanel.tsx';
