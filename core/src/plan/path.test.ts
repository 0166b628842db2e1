import { describe, expect, it } from 'vitest';
import { demo } from '../testing.ts';
import { rangeProblems } from './check.ts';
import { rangeOf, readNumber, writeNumber } from './path.ts';
import { RANGES } from './ranges.ts';

describe('a number by its pointer', () => {
  it.each([
    ['/levels/string', 100.5, 'levels.string'],
    ['/ground/logs/0/layers/1/top', 0.25, 'ground.logs.layers.top'],
    ['/ground/surface/points/0/2', 100.187, 'ground.surface.level'],
    ['/ground/hazards/0/points/1/1', 2, 'elements.coordinate'],
    ['/ground/soils/3/values/permeability', 2e-5, 'ground.soils.permeability'],
    ['/elements/0/width', 0.6, 'elements.width'],
    ['/elements/0/points/1/0', 14.4, 'elements.coordinate'],
    ['/elements/5/at/1', 6.6, 'elements.coordinate'],
    ['/elements/0/side', null, 'dig.side'],
    ['/elements/0/room', null, 'dig.room'],
    ['/dig/buckets/2', 0.9, 'dig.buckets'],
    ['/levels/floors/0/layers/2/thickness', 0.0003, 'levels.floors.layers.thickness'],
    ['/spoil/trucks/1/payload', 17500, 'spoil.trucks.payload'],
    ['/pour/blinding/projection', 0.075, 'pour.blinding.projection'],
  ])('%s is read, and its range is known', (pointer, value, key) => {
    expect(readNumber(demo('honey-house'), pointer)).toBe(value);
    expect(rangeOf(pointer)).toBe(key);
  });

  it('is written in place, in lists and in points', () => {
    const plan = demo('honey-house');
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
    const plan = demo('honey-house');
    writeNumber(plan, '/ground/water', null);
    writeNumber(plan, '/ground/soils/2/values/permeability', null);
    expect(plan.ground.water).toBeNull();
    expect('permeability' in plan.ground.soils[2]!.values).toBe(false);
    expect(readNumber(plan, '/ground/soils/2/values/permeability')).toBeNull();
  });

  it('that belongs to nothing any more is not written', () => {
    const plan = demo('bell-frame');
    const before = structuredClone(plan);
    writeNumber(plan, '/base/thickness', 0.3);
    writeNumber(plan, '/elements/77/width', 0.3);
    expect(plan).toEqual(before);
    expect(readNumber(plan, '/base/thickness')).toBeNull();
  });

  it('of something without a range is a slip of the caller, said aloud', () => {
    expect(() => rangeOf('/name')).toThrow('No range is known for /name.');
  });
});

describe('the range check', () => {
  it('looks at every number: each one pushed past its limit is found at its own pointer', () => {
    const pointers = [
      '/datum/level',
      '/ground/surface/gradeNorth',
      '/ground/base',
      '/ground/water',
      '/ground/frost/local',
      '/ground/frost/margin',
      '/ground/frost/climate/index',
      '/ground/frost/climate/days',
      '/ground/frost/climate/mean',
      '/ground/frost/climate/nFactor',
      '/levels/string',
      '/levels/floors/0/level',
      '/levels/bearing/embedment',
      '/levels/cover',
      '/dig/side',
      '/dig/room',
      '/dig/handTrim',
      '/dig/buckets/1',
      '/spoil/trucks/0/body',
      '/spoil/trucks/0/payload',
      '/base/thickness',
      '/base/density',
      '/base/looseFactor',
      '/base/topSize',
      '/base/maxLift',
      '/pour/blinding/thickness',
      '/pour/blinding/projection',
      '/pour/irregularity',
      '/pour/waste',
      '/pour/step',
      '/pour/truck',
      '/elements/0/width',
      '/elements/0/thickness',
      '/elements/0/stem',
      '/elements/0/side',
      '/elements/0/room',
      '/elements/0/bucket',
      '/elements/0/low',
      '/elements/0/points/0/1',
      '/elements/6/at/0',
      '/elements/6/length',
      '/elements/6/angle',
      '/ground/soils/0/values/density',
      '/ground/soils/0/values/swell',
      '/ground/soils/0/values/shrink',
      '/ground/soils/0/values/repose',
      '/ground/soils/0/values/permeability',
      '/ground/soils/0/values/dryDensity',
      '/ground/soils/0/values/finer',
      '/ground/soils/2/hand/penetrometer',
      '/ground/surface/points/3/2',
      '/ground/logs/1/at/0',
      '/ground/logs/1/bottom',
      '/ground/logs/1/standing',
      '/ground/logs/1/layers/1/top',
      '/ground/hazards/0/keepOff',
      '/ground/hazards/0/depth',
      '/ground/hazards/1/points/0/1',
      '/ground/waterHigh',
      '/datum/east',
      '/levels/floors/0/layers/0/thickness',
      '/levels/influence',
      '/prices/dig',
    ];
    for (const pointer of pointers) {
      const plan = demo(pointer.includes('grade') ? 'bell-frame' : 'honey-house');
      writeNumber(plan, pointer, RANGES[rangeOf(pointer)].max * 2 + 1);
      expect(
        rangeProblems(plan).map((p) => p.path),
        pointer,
      ).toEqual([pointer]);
    }
  });
});
