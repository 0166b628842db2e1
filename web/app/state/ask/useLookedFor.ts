/** Whether somebody has come to where an answer stands: until then nothing is worked out for it. */
import { useInView } from 'react-intersection-observer';

/** So far off it is asked already, and mostly there when it comes into view. */
const NEAR = '60px 0px';

/**
 * A what-if is some whole takeoffs, after every edit: on a phone that is its battery. It is asked once
 * the place it stands at was near the screen.
 * @returns a ref for that place, and whether it was
 */
export function useLookedFor(): { ref: (node?: Element | null) => void; looked: boolean } {
  const { ref, inView } = useInView({
    triggerOnce: true,
    rootMargin: NEAR,
    scrollMargin: NEAR,
    fallbackInView: true,
  });
  return { ref, looked: inView };
}
