import { blankPlan, compute, newPad, newStrip } from '@cimiento/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { snapPoint } from '../drawing/snap.ts';
import { spread } from '../drawing/spread.ts';
import { extent, niceLength, viewOf } from '../drawing/view.ts';
import { readPreferences } from '../preferences.ts';
import { makeDesk } from './store.ts';

describe('labels on the staff', () => {
  const places = fc.array(fc.double({ min: -50, max: 350, noNaN: true }), { minLength: 1, maxLength: 9 });
  it('never overlap, keep their order, and stay on the staff', () => {
    fc.assert(
      fc.property(places, (at) => {
        const placed = spread(
          at.map((value, item) => ({ item, at: value })),
          20,
          10,
          290,
        );
        for (let i = 1; i < placed.length; i++) {
          expect(placed[i]!.drawn - placed[i - 1]!.drawn).toBeGreaterThanOrEqual(20 - 1e-9);
          expect(placed[i]!.at).toBeGreaterThanOrEqual(placed[i - 1]!.at);
        }
        expect(placed.at(-1)!.drawn).toBeLessThanOrEqual(290);
      }),
    );
  });
  it('stand at their own level when there is room', () => {
    expect(
      spread(
        [
          { item: 'a', at: 40 },
          { item: 'b', at: 100 },
        ],
        20,
        10,
        290,
      ).map((p) => p.drawn),
    ).toEqual([40, 100]);
  });
});

describe('the plan view', () => {
  it('goes to the screen and back, whatever the zoom', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 40, noNaN: true }),
        fc.double({ min: -500, max: 500, noNaN: true }),
        fc.double({ min: -60, max: 60, noNaN: true }),
        (k, shift, metres) => {
          const view = viewOf({ x0: -5, y0: -3, x1: 20, y1: 9 }, 800, 360, { k, x: shift, y: -shift });
          expect(view.east(view.x(metres))).toBeCloseTo(metres, 6);
          expect(view.north(view.y(metres))).toBeCloseTo(metres, 6);
        },
      ),
    );
  });
  it('fits everything with room around it, north up', () => {
    const view = viewOf({ x0: 0, y0: 0, x1: 20, y1: 10 }, 800, 360, { k: 1, x: 0, y: 0 });
    expect(view.x(0)).toBeGreaterThanOrEqual(33.9);
    expect(view.y(10)).toBeGreaterThanOrEqual(33.9);
    expect(view.y(10)).toBeLessThan(view.y(0));
  });
  it('has something to show when nothing is drawn', () => {
    const plan = blankPlan('x', 'metric');
    expect(extent(plan, compute(plan))).toEqual({ x0: -2, y0: -2, x1: 10, y1: 10 });
    expect([7, 0.3, 45, 1].map(niceLength)).toEqual([5, 0.2, 20, 1].map((v) => expect.closeTo(v, 9)));
  });
});

describe('snapping', () => {
  const plan = blankPlan('x', 'metric');
  plan.elements = [
    newStrip(plan, [
      [0, 0],
      [10, 0],
    ]),
  ];
  it('goes to ends first, then to axes, then to square, then to the step', () => {
    expect(snapPoint(plan, 'new', [10.07, 0.05], null, 0.2, 'metric')).toEqual([10, 0]);
    expect(snapPoint(plan, 'new', [5.02, 0.12], null, 0.2, 'metric')).toEqual([5, 0]);
    expect(snapPoint(plan, 'new', [3.06, 7.31], [3, 1], 0.2, 'metric')).toEqual([3, 7.3]);
    expect(snapPoint(plan, 'new', [3.271, 7.316], null, 0.2, 'metric')).toEqual([3.25, 7.3]);
    expect(snapPoint(plan, 'new', [0.31, 5], null, 0.01, 'imperial')[0]).toBeCloseTo(0.3048, 6);
  });
  it('is not drawn to itself', () => {
    expect(snapPoint(plan, plan.elements[0]!.id, [10.07, 0.02], null, 0.2, 'metric')).toEqual([10.05, 0]);
  });
});

describe('undo', () => {
  const desk = () => makeDesk(blankPlan('x', 'metric'), 1);
  it('takes back and gives again, exactly', () => {
    const store = desk();
    const start = store.getState().plan;
    store.getState().edit((d) => {
      d.elements.push(newPad(start, [1, 1]));
    });
    store.getState().edit((d) => {
      d.ground.frost.local = 1.2;
    });
    const end = store.getState().plan;
    store.getState().undo();
    store.getState().undo();
    expect(store.getState().plan).toEqual(start);
    store.getState().undo();
    store.getState().redo();
    store.getState().redo();
    expect(store.getState().plan).toEqual(end);
  });
  it('takes one typed number as one step, and the next visit to the field as another', () => {
    const store = desk();
    for (const value of [1, 1.3, 1.35])
      store.getState().edit((d) => {
        d.ground.frost.local = value;
      }, 'frost');
    store.getState().settle();
    store.getState().edit((d) => {
      d.ground.frost.local = 2;
    }, 'frost');
    expect(store.getState().past).toHaveLength(2);
    store.getState().undo();
    expect(store.getState().plan.ground.frost.local).toBe(1.35);
    store.getState().undo();
    expect(store.getState().plan.ground.frost.local).toBeNull();
  });
  it('forgets what was undone once something new is done, and ignores edits that change nothing', () => {
    const store = desk();
    store.getState().edit((d) => {
      d.name = 'a';
    });
    store.getState().undo();
    store.getState().edit((d) => {
      d.name = 'b';
    });
    expect(store.getState().future).toEqual([]);
    store.getState().edit((d) => {
      d.name = 'b';
    });
    expect(store.getState().past).toHaveLength(1);
  });
});

describe('preferences', () => {
  it('survive a broken cookie and follow the browser', () => {
    expect(readPreferences(undefined, 'es-AR,es;q=0.9')).toEqual({
      lang: 'es',
      theme: 'light',
      system: null,
    });
    expect(readPreferences('%7Bbroken', null)).toEqual({ lang: 'en', theme: 'light', system: null });
    expect(
      readPreferences(encodeURIComponent('{"lang":"es","theme":"sun","system":"imperial"}'), 'en'),
    ).toEqual({ lang: 'es', theme: 'sun', system: 'imperial' });
    expect(readPreferences(encodeURIComponent('{"lang":"xx","theme":1}'), 'en')).toEqual({
      lang: 'en',
      theme: 'light',
      system: null,
    });
  });
});
