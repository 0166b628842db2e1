import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compute, currentPlan, drawnOf, setoutSheet } from '@cimiento/core';
import Drawing from 'dxf-writer';
import { describe, expect, it } from 'vitest';
import { lookAtDxf, readDxf, writeDxf } from './dxf.ts';
import { writeGeoJson, writeSetoutCsv } from './setout-files.ts';

/** A drawing made by another library: a house of loose lines, a yard, words and a circle. */
function drawing(unit?: 'Meters' | 'Inches' | 'Millimeters', scale = 1): string {
  const d = new Drawing();
  if (unit) d.setUnits(unit);
  d.addLayer('walls', Drawing.ACI.RED, 'CONTINUOUS');
  d.addLayer('yard', Drawing.ACI.GREEN, 'CONTINUOUS');
  d.setActiveLayer('walls');
  const corners = [
    [0, 0],
    [8, 0],
    [8, 6],
    [0, 6],
  ].map(([x, y]) => [x! * scale, y! * scale]);
  corners.forEach((p, i) => {
    const q = corners[(i + 1) % 4]!;
    // Every second one drawn backwards, as people do.
    if (i % 2) d.drawLine(p[0]!, p[1]!, q[0]!, q[1]!);
    else d.drawLine(q[0]!, q[1]!, p[0]!, p[1]!);
  });
  d.setActiveLayer('yard');
  d.drawPolyline(
    [
      [20 * scale, 0],
      [24 * scale, 0],
      [24 * scale, 4 * scale],
    ],
    false,
  );
  d.drawCircle(30 * scale, 5 * scale, 2 * scale);
  d.drawText(0, 0, 1, 0, 'north wall');
  return d.toDxfString();
}

describe('a drawing by another library', () => {
  it('is looked at: layers, unit, what is left out', () => {
    const looked = lookAtDxf(drawing('Meters'));
    if (!looked.ok) throw new Error(looked.problem.code);
    expect(looked.look.layers).toEqual([
      { name: 'walls', shapes: 4 },
      { name: 'yard', shapes: 2 },
    ]);
    expect(looked.look).toMatchObject({ unit: 'm', skipped: 1, size: 32 });
  });
  it('loose lines become one closed run', () => {
    const read = readDxf(drawing('Meters'), ['walls'], 'm');
    if (!read.ok) throw new Error();
    expect(read.shapes).toHaveLength(1);
    expect(read.shapes[0]!.closed).toBe(true);
    expect(read.shapes[0]!.points).toHaveLength(4);
  });
  it('in inches comes out in metres', () => {
    const text = drawing('Inches', 1 / 0.0254);
    expect(lookAtDxf(text)).toMatchObject({ look: { unit: 'in' } });
    const read = readDxf(text, ['walls'], 'in');
    if (!read.ok) throw new Error();
    const xs = read.shapes[0]!.points.map((p) => p[0]);
    expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(8, 9);
  });
  it('that says no unit asks for one', () => {
    const text = drawing('Meters').replace(/\$INSUNITS\s+70\s+\d+/, '$INSUNITS\n70\n0');
    expect(lookAtDxf(text)).toMatchObject({ look: { unit: null } });
  });
  it('three lines that meet stay three', () => {
    const d = new Drawing();
    d.drawLine(0, 0, 5, 0);
    d.drawLine(5, 0, 9, 0);
    d.drawLine(5, 0, 5, 4);
    const read = readDxf(d.toDxfString(), ['0'], 'm');
    expect(read.ok && read.shapes.length).toBe(3);
  });
  it('arcs come as chords within 10 mm', () => {
    const d = new Drawing();
    d.setUnits('Meters');
    d.drawArc(0, 0, 5, 0, 90);
    const read = readDxf(d.toDxfString(), ['0'], 'm');
    if (!read.ok) throw new Error();
    for (const [x, y] of read.shapes[0]!.points) expect(Math.hypot(x, y)).toBeCloseTo(5, 6);
    const [p, q] = read.shapes[0]!.points;
    expect(5 - Math.hypot((p![0] + q![0]) / 2, (p![1] + q![1]) / 2)).toBeLessThanOrEqual(0.01 + 1e-9);
    expect(read.shapes[0]!.points.at(-1)![1]).toBeCloseTo(5, 6);
  });
});

describe('drawings that cannot be taken say why', () => {
  const code = (text: string) => {
    const looked = lookAtDxf(text);
    return looked.ok ? 'ok' : looked.problem.code;
  };
  it('binary, no drawing at all, cut off, broken', () => {
    expect(code('BINARY\r\n\u001a\0\0\0')).toBe('fileBinary');
    expect(code('x,y\n1,2\n')).toBe('dxfNone');
    const whole = drawing('Meters');
    expect(code(whole.slice(0, whole.length * 0.7))).toMatch(/dxfCut|dxfBroken/);
    expect(code('0\nSECTION\n2\nENTITIES\n0\nLINE\nzz')).toMatch(/dxfCut|dxfBroken/);
  });
  it('of blocks only', () => {
    const head = '0\nSECTION\n2\nENTITIES\n';
    const insert = '0\nINSERT\n8\n0\n2\nHOUSE\n10\n0.0\n20\n0.0\n30\n0.0\n';
    expect(code(`${head}${insert}0\nENDSEC\n0\nEOF\n`)).toBe('dxfBlocks');
    expect(code(`${head}0\nENDSEC\n0\nEOF\n`)).toBe('dxfEmpty');
  });
  it('two hundred thousand lines are looked at; too many shapes are refused with the limit', () => {
    const lines = Array.from(
      { length: 200_000 },
      (_, i) => `0\nLINE\n8\n${i % 3}\n10\n${i * 2}\n20\n0\n30\n0\n11\n${i * 2 + 1}\n21\n1\n31\n0\n`,
    ).join('');
    const text = `0\nSECTION\n2\nENTITIES\n${lines}0\nENDSEC\n0\nEOF\n`;
    const looked = lookAtDxf(text);
    if (!looked.ok) throw new Error(looked.problem.code);
    expect(looked.look.layers.map((layer) => layer.shapes)).toEqual([66667, 66667, 66666]);
    expect(readDxf(text, ['1'], 'm')).toMatchObject({ ok: false, problem: { code: 'dxfShapes', max: 400 } });
  });
});

describe('what leaves', () => {
  const plan = currentPlan(
    JSON.parse(readFileSync(join(import.meta.dirname, '../../demo/honey-house.json'), 'utf8')).plan,
  )!;
  const takeoff = compute(plan);
  const names = {
    axis: 'axes',
    footing: 'footings',
    bottom: 'dig bottom',
    opening: 'dig edge',
    board: 'boards',
    string: 'strings',
    pin: 'pins',
    site: 'site',
  } as const;
  it('as DXF is read back the same: axes in metres on their layer', () => {
    const text = writeDxf(drawnOf(plan, takeoff), names);
    expect(lookAtDxf(text)).toMatchObject({ ok: true, look: { unit: 'm' } });
    const read = readDxf(text, ['axes'], 'm');
    if (!read.ok) throw new Error();
    const ends = read.shapes
      .flatMap((shape) => shape.points)
      .map(([x, y]) => `${x.toFixed(3)} ${y.toFixed(3)}`);
    for (const element of plan.elements)
      if (element.kind === 'strip')
        for (const [x, y] of element.points) expect(ends).toContain(`${x.toFixed(3)} ${y.toFixed(3)}`);
  });
  it('as GeoJSON has a feature for every line, closed rings closed', () => {
    const drawn = drawnOf(plan, takeoff);
    const made = JSON.parse(writeGeoJson(drawn, [1000, 2000]));
    expect(made.features).toHaveLength(drawn.length);
    for (const { geometry } of made.features)
      if (geometry.type === 'Polygon')
        expect(geometry.coordinates[0].at(-1)).toEqual(geometry.coordinates[0][0]);
  });
  it('as CSV has every corner and nail', () => {
    const sheet = setoutSheet(plan, takeoff);
    const rows = writeSetoutCsv(sheet, [0, 0]).trim().split('\n');
    const nails = sheet.boards.lines.reduce(
      (sum, l) => sum + l.boards[0].nails.length + l.boards[1].nails.length,
      0,
    );
    expect(rows).toHaveLength(1 + sheet.points.length + nails);
    expect(rows[0]).toBe('name,what,east,north,level');
  });
});
