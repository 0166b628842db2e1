/** Writers of drawings and lists of points, apart from the desk: a large library is among them. */
export { writeDxf, writeGeoJson, writeSetoutCsv } from '@cimiento/formats';
