/** The quantities a new job is asked for: what the form shows is what the server reads. */
import type { FieldId } from '@cimiento/core';

/** Each is read as what it becomes in the plan. */
export const ASKED = {
  length: '/levels/shallow/length',
  width: '/levels/shallow/width',
  thick: '/elements/*/rising/thickness',
  frost: '/ground/frost/local',
  water: '/ground/logs/*/standing',
  footWidth: '/elements/*/width',
  footThick: '/elements/*/thickness',
  apart: '/levels/shallow/width',
  old: '/ground/logs/*/standing',
  down: '/ground/logs/*/standing',
  away: '/levels/shallow/width',
  deep: '/water/dam/depth',
  flood: '/ground/frost/local',
} as const satisfies Record<string, FieldId>;
export type Asked = keyof typeof ASKED;

/** Told in millimetres or inches; the rest in metres or feet, however the field of the plan is written. */
export const SIZES: readonly Asked[] = ['thick', 'footWidth', 'footThick'];
