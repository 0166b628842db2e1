/** A photo made small enough to go over a weak line, and a smaller one to look through. */
import { PHOTO } from '@cimiento/core';
import shrinkImage from 'browser-image-compression';
import type { Picture } from '../outbox/outbox.ts';

/** Larger files are no photo of a phone, bytes. */
export const MOST_FILE = 40_000_000;
const MB = 1024 * 1024;

export interface Shrunk {
  readonly picture: Picture;
  /** Of the picture: px, and bytes. */
  readonly width: number;
  readonly height: number;
  readonly size: number;
}

/** As JPEG within so many bytes, its longer side so many px, turned upright, without where and by what it was taken. */
async function within(file: File, most: number, side: number): Promise<File | null> {
  // What is much detailed comes out too large at first.
  for (const share of [1, 0.75, 0.5]) {
    const made = await shrinkImage(file, {
      maxSizeMB: most / MB,
      maxWidthOrHeight: Math.round(side * share),
      fileType: 'image/jpeg',
      initialQuality: 0.8,
      // Its worker would fetch its script from elsewhere.
      useWebWorker: false,
    });
    if (made.size <= most) return made;
  }
  return null;
}

/** @returns null for what is no photo this browser can read, or none that can be made small enough */
export async function shrink(file: File): Promise<Shrunk | null> {
  try {
    const photo = await within(file, PHOTO.most, PHOTO.side);
    const thumb = photo && (await within(file, PHOTO.mostThumb, PHOTO.thumbSide));
    if (!photo || !thumb) return null;
    const { width, height } = await createImageBitmap(photo);
    return {
      picture: { photo: await photo.arrayBuffer(), thumb: await thumb.arrayBuffer() },
      width,
      height,
      size: photo.size,
    };
  } catch {
    return null;
  }
}
