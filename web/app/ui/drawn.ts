/** What a drawing of something dug shows, in words, for who does not see it. */
import type { ElementTakeoff } from '@cimiento/core';
import type { Say } from '../messages/keys.ts';
import type { Format } from './format.tsx';
import { bottomText, depthText, layerName, sidesText } from './words.ts';

export function drawnText(name: string, info: ElementTakeoff, t: Say, format: Format): string {
  const cut = t('section.says', {
    name,
    depth: format.text(info.depth, 'length'),
    string: depthText(format, info.fromString),
    width: bottomText(info, format),
    sides: sidesText(info, t, format),
  });
  if (info.layers.length === 0) return cut;
  const upward = [...info.layers].sort((p, q) => p.bottom - q.bottom);
  const layers = upward.map(({ layer }) => `${layerName(t, layer)} ${format.text(layer.thickness, 'size')}`);
  return `${cut} ${t('section.saysBed', { layers: layers.join(', ') })}`;
}
