/** Files out of and into the page. */

/** Hands a text to the person as a file of that name. */
export function saveFile(name: string, text: string, type = 'text/csv;charset=utf-8'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** A name any system takes. */
export const fileName = (...parts: readonly string[]): string =>
  parts
    .join(' ')
    .replace(/[^\p{L}\p{N} ._-]/gu, '_')
    .replace(/^(.{0,100}).*$/su, '$1');
