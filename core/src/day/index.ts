export * from './clock.ts';
export * from './heap.ts';
export { type Lesson, leaveLesson, type Proposal, proposalsOf, takeLesson } from './lessons.ts';
export * from './report.ts';
