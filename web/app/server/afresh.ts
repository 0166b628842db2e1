/** What a sheet's maker says when its figures do not read back from the finished file. */
const UNREAD = 'paper does not read back';

/** @param texts what should be on the sheet and is not */
export const unread = (texts: readonly string[]): Error =>
  // Figures only, and few: the line goes into the server's log.
  new Error(`${UNREAD}: ${texts.length}`);

// Between threads an error keeps its message, not its class.
const isUnread = (error: unknown): boolean => error instanceof Error && error.message.startsWith(UNREAD);

/**
 * Makes a sheet; one that does not read back is made once more after `renew`, and then refused.
 * @throws what `refused` makes
 */
export async function afresh<T>(
  make: () => Promise<T>,
  renew: (error: unknown) => void,
  refused: () => unknown,
): Promise<T> {
  try {
    return await make();
  } catch (error) {
    if (!isUnread(error)) throw error;
    renew(error);
  }
  try {
    return await make();
  } catch (error) {
    throw isUnread(error) ? refused() : error;
  }
}
