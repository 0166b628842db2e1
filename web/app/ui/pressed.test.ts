import { afterEach, describe, expect, it, vi } from 'vitest';

/** A window that only takes and tells events. */
class Panes extends EventTarget {}

describe('after a press', () => {
  afterEach(() => {
    vi.unstubAllGlobals();
    vi.useRealTimers();
    vi.resetModules();
  });
  it('what waits comes at once without a pointer down, and after its click with one', async () => {
    vi.useFakeTimers();
    const panes = new Panes();
    vi.stubGlobal('window', panes);
    const { afterPress } = await import('./pressed.ts');
    const told: string[] = [];
    afterPress(() => told.push('at once'));
    expect(told).toEqual(['at once']);
    panes.dispatchEvent(new Event('pointerdown'));
    afterPress(() => told.push('after'));
    expect(told).toHaveLength(1);
    panes.dispatchEvent(new Event('pointerup'));
    // The click is told between the pointer's going up and the next task.
    expect(told).toHaveLength(1);
    vi.runAllTimers();
    expect(told).toEqual(['at once', 'after']);
    panes.dispatchEvent(new Event('pointerup'));
    vi.runAllTimers();
    expect(told).toHaveLength(2);
  });
});
