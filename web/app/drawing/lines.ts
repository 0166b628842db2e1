/** Words in a drawing that has little room: a guess at how wide they are, and lines that fit. */

/** Width of a letter in parts of its size, about that of the figures' face. */
const LETTER = 0.5;

/** About how wide a text is drawn, px. */
export const roughWidth = (text: string, size: number): number => text.length * size * LETTER;

/** A text in lines no wider than `room`, px, broken between words; a word that is wider has a line of its own. */
export function linesOf(text: string, room: number, size: number): string[] {
  const lines: string[] = [];
  for (const word of text.split(' ')) {
    const longer = lines.length > 0 ? `${lines.at(-1)} ${word}` : word;
    if (lines.length > 0 && roughWidth(longer, size) <= room) lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  return lines;
}

/** Where a text centred at `middle` stands so that none of it is cut, px of a drawing `width` wide. */
export function within(middle: number, text: string, size: number, width: number): number {
  const half = roughWidth(text, size) / 2 + 2;
  return Math.max(half, Math.min(middle, width - half));
}
