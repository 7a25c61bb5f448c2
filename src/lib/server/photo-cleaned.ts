import sharp from 'sharp';
import { Refusal } from './errors.ts';
import { LARGEST_PHOTO, type Photo } from './repositories/photos.ts';

/** A picture is taken apart up to so many pixels, and kept within so many on its longer side. */
const MOST_PIXELS = 50_000_000;
const LONGEST_SIDE = 1600;

// one thread for each picture: a bench's machine has two cores, and pages come first
sharp.concurrency(1);

/**
 * A photograph drawn anew from its pixels, away from the main thread: what a camera writes beside them (place, serial number,
 * preview) and whatever else stood in the file is gone. A turned picture is turned upright first.
 * @throws Refusal where the bytes are no whole picture, or one of more than 50 million pixels
 */
export async function cleaned({ kind, bytes }: Photo): Promise<Photo> {
  try {
    const upright = sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: 'error' }).rotate();
    const small = upright.resize(LONGEST_SIDE, LONGEST_SIDE, { fit: 'inside', withoutEnlargement: true });
    const png = kind === 'image/png' ? await small.clone().png({ compressionLevel: 9 }).toBuffer() : null;
    if (png && png.length <= LARGEST_PHOTO) return { kind, bytes: png };
    // one of much fine grain is kept coarser rather than not at all
    const fine = await small.clone().jpeg({ quality: 82 }).toBuffer();
    const kept = fine.length <= LARGEST_PHOTO ? fine : await small.clone().jpeg({ quality: 50 }).toBuffer();
    return { kind: 'image/jpeg', bytes: kept };
  } catch (e) {
    const large = /pixel limit/.test((e as Error).message);
    throw large
      ? new Refusal(
          413,
          'too-many-pixels',
          `The photograph has more than ${MOST_PIXELS / 1e6} million pixels: send a smaller one.`
        )
      : new Refusal(415, 'no-photograph', 'This is no whole photograph in JPEG or PNG: take it again.');
  }
}
