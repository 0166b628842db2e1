/** What bytes a photo is of. */
import { PHOTO } from '@cimiento/core';
import { imageSize } from 'image-size';

export type Bytes = Uint8Array<ArrayBuffer>;
/** A photo as it is kept: under the id of its record, the picture and a small one. */
export interface Photo {
  readonly record: string;
  readonly photo: Bytes;
  readonly thumb: Bytes;
}

/** Whether bytes begin as a JPEG with a size in it. */
export function isPhoto(bytes: Uint8Array): boolean {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== 0xd8) return false;
  try {
    const { width, height, type } = imageSize(bytes);
    return type === 'jpg' && width > 0 && height > 0;
  } catch {
    return false;
  }
}

/** Bytes each of the two pictures of a photo may take. */
export const MOST_BYTES = { photo: PHOTO.most, thumb: PHOTO.mostThumb } as const;
