import { useCallback, useState } from 'react';

/** The size of an element in whole pixels, with a size to start from before it is measured. */
export function useSize(width: number, height: number) {
  const [size, setSize] = useState({ width, height });
  const ref = useCallback((node: HTMLElement | null) => {
    if (!node) return;
    const observer = new ResizeObserver(([entry]) => {
      const box = entry?.contentRect;
      if (box && box.width > 0 && box.height > 0)
        setSize({ width: Math.round(box.width), height: Math.round(box.height) });
    });
    observer.observe(node);
    return () => observer.disconnect();
  }, []);
  return [ref, size] as const;
}
