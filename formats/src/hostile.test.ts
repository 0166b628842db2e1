/** Files made to hang a reader or knock it over: each is answered at once, with what is wrong. */

import { DRAWN_LAYERS } from '@cimiento/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lookAtDxf, readDxf, writeDxf } from './dxf.ts';
import { readLandXml } from './landxml.ts';

const pairs = (...groups: (string | number)[]) => `${groups.join('\n')}\n`;
const entities = (...inside: (string | number)[]) =>
  pairs(0, 'SECTION', 2, 'ENTITIES', ...inside, 0, 'ENDSEC', 0, 'EOF');
const line = [0, 'LINE', 8, 'A', 10, 0, 20, 0, 11, 5, 21, 5];
const DRAWN_NAMES = Object.fromEntries(DRAWN_LAYERS.map((name) => [name, name])) as Parameters<
  typeof writeDxf
>[1];
const codeOf = (read: { ok: boolean; problem?: { code: string } }) => (read.ok ? 'ok' : read.problem?.code);

describe('a drawing', () => {
  it('of twenty-six lines, whose old polyline does not end, is broken and said to be', () => {
    const text = entities(0, 'POLYLINE', 8, 'A', 66, 1, 70, 0, 0, 'LINE', 10, 0, 20, 0);
    expect(text.trim().split('\n')).toHaveLength(26 - 4);
    expect(codeOf(lookAtDxf(text))).toBe('dxfBroken');
    expect(codeOf(lookAtDxf(entities(0, 'POLYLINE')))).toBe('dxfBroken');
  });
  it('with a table that does not end is read: tables hold nothing that is taken', () => {
    const text =
      pairs(0, 'SECTION', 2, 'TABLES', 0, 'TABLE', 2, 'LAYER', 0, 'LAYER', 0, 'ENDSEC') + entities(...line);
    expect(codeOf(lookAtDxf(text))).toBe('ok');
  });
  it('with whole old polylines and everything else keeps its shapes', () => {
    const vertex = (x: number, y: number) => [0, 'VERTEX', 8, 'A', 10, x, 20, y];
    const text = entities(
      ...line,
      0,
      'POLYLINE',
      8,
      'A',
      66,
      1,
      ...vertex(9, 9),
      ...vertex(4, 0),
      ...vertex(4, 3),
      0,
      'SEQEND',
    );
    const read = readDxf(text, ['A'], 'm');
    expect(read.ok && read.shapes.map((shape) => shape.points.length).sort()).toEqual([2, 3]);
  });
  it('of a circle without end in size does not become points without end', () => {
    for (const radius of ['1e9', '1e300', '1e-300', '-1'])
      expect(['ok', 'dxfEmpty', 'dxfBroken']).toContain(
        codeOf(lookAtDxf(entities(0, 'CIRCLE', 8, 'A', 10, 0, 20, 0, 40, radius))),
      );
  });
  it('with something foreign between two corners of a polyline is read, and does not read on for ever', () => {
    const corners = [10, 0, 20, 0, 10, 5, 20, 0, 10, 5, 20, 5];
    const head = [0, 'LWPOLYLINE', 8, 'A', 90, 3, 70, 0];
    for (let at = 0; at <= corners.length; at += 2)
      for (const foreign of [
        [91, 0],
        [5, 'FF'],
        [1000, 'x'],
        [330, 'A'],
        [0, 'SEQEND'],
        [-5, 'x'],
      ]) {
        const text = entities(...head, ...corners.slice(0, at), ...foreign, ...corners.slice(at));
        expect(['ok', 'dxfBroken', 'dxfEmpty']).toContain(codeOf(lookAtDxf(text)));
      }
    const odd = entities(...head, 10, 0, 91, 7, 20, 0, 91, 7, 10, 5, 91, 7, 20, 0, 5, 'FF', 10, 5, 20, 5);
    const read = readDxf(odd, ['A'], 'm');
    expect(read.ok && read.shapes[0]!.points).toEqual([
      [0, 0],
      [5, 0],
      [5, 5],
    ]);
  });
  it('of ours, mutated in drawn ways, is always answered', () => {
    const drawings = [
      writeDxf(
        [
          {
            layer: 'axis',
            name: 'A',
            points: [
              [0, 0],
              [14.4, 0],
              [14.4, 8.4],
              [0, 8.4],
            ],
            closed: true,
            level: 1,
          },
          { layer: 'pin', name: 'p', points: [[1, 1]], closed: false, level: null },
        ],
        DRAWN_NAMES,
      ),
      entities(...line, 0, 'ARC', 8, 'A', 10, 0, 20, 0, 40, 5, 50, 0, 51, 90, ...line),
      entities(
        ...line,
        ...[
          0,
          'POLYLINE',
          8,
          'A',
          66,
          1,
          70,
          1,
          0,
          'VERTEX',
          10,
          0,
          20,
          0,
          42,
          0.4,
          0,
          'VERTEX',
          10,
          3,
          20,
          0,
        ],
        ...[0, 'SEQEND', 8, 'A', 0, 'LWPOLYLINE', 8, 'B', 90, 2, 10, 1, 20, 1, 10, 2, 20, 2],
      ),
    ];
    const change = fc.record({
      how: fc.constantFrom('drop', 'twice', 'swap', 'foreign', 'value', 'cut'),
      at: fc.nat(),
      group: fc.constantFrom(
        ...[
          [91, '0'],
          [0, 'VERTEX'],
          [0, 'SEQEND'],
          [0, 'POLYLINE'],
          [0, 'ENDSEC'],
          [0, 'SECTION'],
          [10, '1e999'],
        ],
        ...[
          [90, '-1'],
          [90, '1000000000'],
          [210, '0'],
          [20, 'x'],
          [101, 'Embedded'],
          [70, '255'],
          [0, 'EOF'],
        ],
      ),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...drawings),
        fc.array(change, { minLength: 1, maxLength: 4 }),
        (text, changes) => {
          const lines = text.trimEnd().split('\n');
          let groups = Array.from({ length: lines.length / 2 }, (_, i) => [lines[2 * i]!, lines[2 * i + 1]!]);
          for (const { how, at, group } of changes) {
            const i = groups.length === 0 ? 0 : at % groups.length;
            const made = group.map(String);
            if (how === 'drop') groups.splice(i, 1);
            else if (how === 'twice') groups.splice(i, 0, groups[i] ?? made);
            else if (how === 'swap') groups.splice(i, 2, ...groups.slice(i, i + 2).reverse());
            else if (how === 'foreign') groups.splice(i, 0, made);
            else if (how === 'value' && groups[i]) groups[i] = [groups[i]![0]!, made[1]!];
            else if (how === 'cut') groups = groups.slice(0, i);
          }
          const mutated = `${groups.flat().join('\n')}\n`;
          const look = lookAtDxf(mutated);
          if (!look.ok) return;
          const layers = look.look.layers.map(({ name }) => name);
          const read = readDxf(mutated, layers, 'm');
          if (read.ok)
            for (const { points } of read.shapes)
              for (const p of points) expect(p.every((v) => Number.isFinite(v))).toBe(true);
        },
      ),
      { numRuns: 3000 },
    );
  });
  it('of pseudo-random groups is always answered', () => {
    let seed = 9;
    const next = () => {
      seed = (Math.imul(seed, 1_103_515_245) + 12_345) & 0x7fffffff;
      return seed / 0x7fffffff;
    };
    const some = <T>(...of: T[]): T => of[Math.floor(next() * of.length)]!;
    for (let n = 0; n < 4000; n++) {
      const inside: (string | number)[] = [];
      for (let k = Math.floor(next() * 9); k > 0; k--)
        if (next() < 0.5)
          inside.push(
            0,
            some(
              'LINE',
              'LWPOLYLINE',
              'POLYLINE',
              'VERTEX',
              'SEQEND',
              'CIRCLE',
              'ARC',
              'SPLINE',
              'INSERT',
              'TEXT',
              'TABLE',
              'BLOCK',
              'ENDBLK',
              'LAYER',
              'FOO',
              'ENDSEC',
              'SECTION',
            ),
          );
        else
          inside.push(
            some(2, 8, 10, 20, 40, 42, 50, 66, 70, 90, 102, 330),
            some<string | number>(0, 1, 5, -1, '1e9', 'x', '{A'),
          );
      const section = some('HEADER', 'TABLES', 'BLOCKS', 'ENTITIES', 'OBJECTS');
      const text = pairs(
        0,
        'SECTION',
        2,
        section,
        ...inside,
        ...(next() < 0.6 ? [0, 'ENDSEC'] : []),
        0,
        'EOF',
      );
      expect(typeof lookAtDxf(text).ok).toBe('boolean');
    }
  });
});

describe('a surface file', () => {
  it('nested twenty thousand deep, or with a hundred thousand attributes, is refused at once', () => {
    const start = performance.now();
    expect(codeOf(readLandXml(`<LandXML>${'<a>'.repeat(20_000)}${'</a>'.repeat(20_000)}</LandXML>`))).toBe(
      'fileDeep',
    );
    const wide = Array.from({ length: 100_000 }, (_, i) => `a${i}="1"`).join(' ');
    expect(codeOf(readLandXml(`<LandXML><P ${wide}/></LandXML>`))).toBe('fileWide');
    expect(performance.now() - start).toBeLessThan(5000);
  });
  it('with quotes, comments and slashes in odd places is not mistaken for a deep one', () => {
    const odd = `<LandXML><!-- <a><b> --><Units note="a > b / c"><Metric linearUnit='meter'/></Units></LandXML>`;
    expect(codeOf(readLandXml(odd))).toBe('noSurface');
  });
});
