/** Files made to hang a reader or knock it over: each is answered at once, with what is wrong. */
import { describe, expect, it } from 'vitest';
import { lookAtDxf, readDxf } from './dxf.ts';
import { readLandXml } from './landxml.ts';

const pairs = (...groups: (string | number)[]) => `${groups.join('\n')}\n`;
const entities = (...inside: (string | number)[]) =>
  pairs(0, 'SECTION', 2, 'ENTITIES', ...inside, 0, 'ENDSEC', 0, 'EOF');
const line = [0, 'LINE', 8, 'A', 10, 0, 20, 0, 11, 5, 21, 5];
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
