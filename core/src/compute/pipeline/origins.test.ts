/** A figure says where each of its inputs comes from, and never better than the weakest of them. */
import { describe, expect, it } from 'vitest';
import type { FigureId } from '../../figures/index.ts';
import type { Plan } from '../../plan/schema.ts';
import { named, pad, plainPlan, soilsDown } from '../../testing.ts';
import { compute } from './compute.ts';

const originOf = (figure: FigureId, name: string, change: (p: Plan) => void) => {
  const plan = plainPlan((p) => {
    soilsDown(p, ['a', 'topsoil', 0], ['b', 'siltySand', 0.3], ['c', 'sand', 1.5]);
    p.ground.water = 99.5;
    p.elements = named(pad(0, 0, 3, 3), pad(8, 0, 2, 2));
    change(p);
  });
  const inputs = compute(plan).figures[figure].workings.flatMap((working) => working.inputs);
  return [...new Set(inputs.filter((input) => input.name === name).map((input) => input.origin))];
};
const soil = (p: Plan, id: string) => p.ground.soils.find((entry) => entry.id === id)!;

describe('the origin of', () => {
  it('hand trim is typed once the job or every element has its own', () => {
    expect(originOf('dig', 'trim', () => {})).toEqual(['typical']);
    expect(originOf('dig', 'trim', (p) => (p.dig.handTrim = 0.1))).toEqual(['typed']);
    expect(originOf('dig', 'trim', (p) => (p.elements[0]!.trim = 0.1))).toEqual(['typical']);
    const both = (p: Plan) => {
      for (const element of p.elements) element.trim = 0.1;
    };
    expect(originOf('dig', 'trim', both)).toEqual(['typed']);
  });
  it('the angle of repose is that of the soil whose angle rules', () => {
    expect(originOf('spoil', 'repose', () => {})).toEqual(['typical']);
    const flat = (p: Plan) => {
      soil(p, 'b').values = { repose: 20 };
    };
    expect(originOf('spoil', 'repose', flat)).toEqual(['typed']);
    const steep = (p: Plan) => {
      soil(p, 'b').values = { repose: 55 };
    };
    expect(originOf('spoil', 'repose', steep)).toEqual(['typical']);
  });
  it('the permeability is typed only when every soil that lets water in has its own', () => {
    expect(originOf('water', 'permeability', () => {})).toEqual(['typical']);
    const one = (p: Plan) => {
      soil(p, 'c').values = { permeability: 1e-4 };
    };
    expect(originOf('water', 'permeability', one)).toEqual(['typical']);
    const all = (p: Plan) => {
      for (const id of ['b', 'c']) soil(p, id).values = { permeability: 1e-4 };
    };
    // The topsoil lies above the water: it lets none in.
    expect(originOf('water', 'permeability', all)).toEqual(['typed']);
  });
});
