import { spotSurface, takeSurvey } from '@cimiento/core';
import { describe, expect, it } from 'vitest';
import { readLandXml } from './landxml.ts';
import { lookAtSurvey, readSurveyCsv, writeSurveyCsv } from './survey-csv.ts';

const points = (
  text: string,
  order: Parameters<typeof readSurveyCsv>[1] = null,
  unit: 'm' | 'ft' | 'usft' = 'm',
) => {
  const read = readSurveyCsv(text, order, unit);
  if (!read.ok) throw new Error(read.problem.code);
  return read.survey;
};
const problem = (text: string) => {
  const read = readSurveyCsv(text, null, 'm');
  return read.ok ? null : read.problem;
};

describe('spot levels as text', () => {
  it('are read by their heads, whatever the order, mark and language', () => {
    const wanted = [[3, 4, 99.5]];
    expect(points('x,y,z\n3,4,99.5').points).toEqual(wanted);
    expect(points('Point;Northing;Easting;Elev\nA;4;3;99,5').points).toEqual(wanted);
    expect(points('este\tnorte\tcota\n3\t4\t99.5\n').points).toEqual(wanted);
    expect(points('\uFEFF# from the rod\r\nZ,E,N\r\n99.5,3,4\r\n\r\n').points).toEqual(wanted);
  });
  it('without a head follow the order asked for', () => {
    expect(points('3,4,99.5').points).toEqual([[3, 4, 99.5]]);
    expect(points('3,4,99.5', 'NEZ').points).toEqual([[4, 3, 99.5]]);
    expect(points('P1,4,3,99.5', 'PNEZ').points).toEqual([[3, 4, 99.5]]);
    expect(lookAtSurvey('P1,4,3,99.5\nP2,5,3,99')).toMatchObject({ look: { order: 'PENZ' } });
    expect(lookAtSurvey('x,y,z\n1,2,3')).toMatchObject({ look: { order: null } });
    // Wherever the part looked at ends, a cut line is no fault of the file.
    for (let more = 0; more < 12; more++)
      expect(lookAtSurvey(`${'x'.repeat(1 + more)},y,z\n${'1.25,2.5,3.75\n'.repeat(900)}`).ok).toBe(true);
  });
  it('in feet become metres, survey feet by 1200/3937', () => {
    expect(points('10,0,0', null, 'ft').points[0]![0]).toBeCloseTo(3.048, 12);
    expect(points('3937,0,0', null, 'usft').points[0]![0]).toBeCloseTo(1200, 9);
  });
  it('with a column of line names give breaklines, and go out and come back', () => {
    const text = 'x,y,z,line\n0,0,1,bank\n5,0,1,\n5,5,2,bank\n0,5,2,bank\n9,9,1,alone';
    const survey = points(text);
    expect(survey.breaklines).toEqual([[0, 2, 3]]);
    expect(points(writeSurveyCsv(survey))).toEqual(survey);
  });
  it.each([
    ['', 'fileEmpty'],
    ['x,y,z\n', 'fileEmpty'],
    ['1,2,3\n4,5', 'rowShort'],
    ['1,2,3\n4,five,6', 'notANumber'],
    ['PK\0\u0003\u0004', 'fileBinary'],
    [`${'1,2,3\n'.repeat(250_001)}`, 'rowsMany'],
    ['1'.repeat(25_000_000), 'fileLong'],
  ])('name what is wrong with them (%#)', (text, code) => {
    expect(problem(text)?.code).toBe(code);
  });
  it('say the line and column of a slip', () => {
    expect(problem('x,y,z\n1,2,3\n4,5,6m')).toMatchObject({
      code: 'notANumber',
      value: '6m',
      params: { line: 3, column: 3 },
    });
  });
});

const landXml = (inside: string, units = '<Metric linearUnit="meter"/>') =>
  `<?xml version="1.0"?><LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2"><Units>${units}</Units><Surfaces><Surface name="EG">${inside}</Surface></Surfaces></LandXML>`;
/** A square whose diagonal runs the way Delaunay would not choose. */
const SQUARE =
  '<Definition surfType="TIN"><Pnts><P id="1">0 0 10</P><P id="2">0 4 10</P><P id="3">3 4.4 12</P><P id="4">3 0 10</P></Pnts><Faces><F>1 2 3</F><F>1 3 4</F></Faces></Definition>';

describe('LandXML', () => {
  it('gives points, north first, and the file’s own faces', () => {
    const read = readLandXml(landXml(SQUARE));
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.survey.points[2]).toEqual([4.4, 3, 12]);
    const made = spotSurface(read.survey.points, read.survey.breaklines);
    // Half way along the diagonal 1–3 that the file has: (10 + 12)/2.
    expect(made.ok && made.surface.level(2.2, 1.5)).toBeCloseTo(11, 9);
    const bare = spotSurface(read.survey.points, []);
    expect(bare.ok && bare.surface.level(2.2, 1.5)).not.toBeCloseTo(11, 3);
  });
  it('takes units from the file, and breaklines with points of their own', () => {
    const text = landXml(
      `<SourceData><Breaklines><Breakline><PntList3D>0 0 10 5 5 11</PntList3D></Breakline></Breaklines></SourceData>${SQUARE}`,
      '<Imperial linearUnit="foot"/>',
    );
    const read = readLandXml(text);
    if (!read.ok) throw new Error(read.problem.code);
    expect(read.survey.points[1]![0]).toBeCloseTo(4 * 0.3048, 12);
    expect(read.survey.points).toHaveLength(5);
    expect(read.survey.breaklines[0]).toEqual([0, 4]);
    expect(takeSurvey(read.survey, [0, 0]).ok).toBe(true);
  });
  it('never expands an entity', () => {
    const bomb = `<!DOCTYPE x [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]>${landXml(SQUARE)}`;
    expect(readLandXml(bomb)).toMatchObject({ problem: { code: 'fileHostile' } });
    expect(readLandXml(landXml(SQUARE.replace('0 0 10', '&b; 0 10')))).toMatchObject({
      problem: { code: 'fileBroken' },
    });
  });
  it.each([
    ['cut short', landXml(SQUARE).slice(0, -60), 'fileBroken'],
    ['other XML', '<a/>', 'notLandXml'],
    ['no surface', landXml('<Definition surfType="grid"/>'), 'noSurface'],
    ['a point of two numbers', landXml(SQUARE.replace('0 0 10', '0 0')), 'pointBroken'],
    ['the same point twice', landXml(SQUARE.replace('3 0 10', '0 0 10')), 'duplicateSpot'],
    ['furlongs', landXml(SQUARE, '<Imperial linearUnit="furlong"/>'), 'unitUnknown'],
  ])('that is %s is named', (_name, text, code) => {
    expect(readLandXml(text)).toMatchObject({ ok: false, problem: { code } });
  });
});
