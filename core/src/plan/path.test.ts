import { describe, expect, it } from 'vitest';
import { demo, honeyHouse } from '../testing.ts';
import { readNumber, writeNumber } from './path.ts';

describe('a number by its pointer', () => {
  it.each([
    ['/levels/string', 100.5],
    ['/ground/logs/0/layers/1/top', 0.25],
    ['/ground/surface/points/0/2', 100.187],
    ['/ground/hazards/0/points/1/1', 2],
    ['/ground/soils/3/values/permeability', 2e-5],
    ['/elements/0/width', 0.6],
    ['/elements/0/points/1/0', 14.4],
    ['/elements/5/at/1', 6.6],
    ['/elements/0/side', null],
    ['/elements/0/room', null],
    ['/dig/buckets/2', 0.9],
    ['/levels/floors/0/layers/2/thickness', 0.0003],
    ['/spoil/trucks/1/payload', 17500],
    ['/beds/0/layers/1/projection', 0.075],
  ])('%s is read', (pointer, value) => {
    expect(readNumber(honeyHouse(), pointer)).toBe(value);
  });

  it('is written in place, in lists and in points', () => {
    const plan = honeyHouse();
    writeNumber(plan, '/elements/0/points/1/0', 15);
    writeNumber(plan, '/dig/buckets/0', 0.3);
    writeNumber(plan, '/ground/soils/0/values/swell', 0.2);
    expect([
      plan.elements[0]!.kind === 'strip' && plan.elements[0]!.points[1],
      plan.dig.buckets[0],
      plan.ground.soils[0]!.values.swell,
    ]).toEqual([[15, 8.4], 0.3, 0.2]);
  });

  it('is left open when emptied: null, or absent for a measured value', () => {
    const plan = honeyHouse();
    writeNumber(plan, '/ground/water', null);
    writeNumber(plan, '/ground/soils/2/values/permeability', null);
    expect(plan.ground.water).toBeNull();
    expect('permeability' in plan.ground.soils[2]!.values).toBe(false);
    expect(readNumber(plan, '/ground/soils/2/values/permeability')).toBeNull();
  });

  it('that belongs to nothing any more is not written', () => {
    const plan = demo('bell-frame');
    const before = structuredClone(plan);
    writeNumber(plan, '/beds/7/layers/0/thickness', 0.3);
    writeNumber(plan, '/elements/77/width', 0.3);
    expect(plan).toEqual(before);
    expect(readNumber(plan, '/beds/7/layers/0/thickness')).toBeNull();
  });
});
