/** What is wrong with a crew's archive on its way in. */

/** Why an archive is not taken in, and how far it was read. */
export interface Refused {
  readonly ok: false;
  readonly code: 'notAnArchive' | 'archiveCut' | 'archiveBroken' | 'archiveLarge' | 'archiveSlow';
  readonly line: number;
}
/** What reading stops with; a source of lines may throw it too. */
export class Broken extends Error {
  readonly code: Refused['code'];
  readonly line: number;
  constructor(code: Refused['code'], line = 0) {
    super(code);
    this.code = code;
    this.line = line;
  }
}
