import { phrase } from "@/core/words";
import { pictureSize } from "./pictureSize";

/** Photos are kept no larger than this, long side in pixels: enough to see where cloth pulls. */
const LONG_SIDE = 1600;
const MOST_BYTES = 20_000_000;
/** A picture of more pixels would take the tab with it. */
const MOST_PIXELS = 120_000_000;
/** A picture says how large it is within its first bytes. */
const HEAD_BYTES = 65_536;
const QUALITY = 0.85;

/** Photo that cannot be taken in, as a sentence. */
export class NoPhoto extends Error {}

/**
 * A picture file drawn anew, smaller: nothing but the picture comes through, so that where and by what it was taken is
 * gone. Throws NoPhoto with a sentence for what is no picture, or too large.
 */
export async function scaledPhoto(
  file: File,
): Promise<{ readonly type: string; readonly width: number; readonly height: number; readonly bytes: Uint8Array }> {
  if (file.size > MOST_BYTES) throw new NoPhoto(phrase`${file.name} is over 20 MB. Take a smaller picture.`);
  if (!file.type.startsWith("image/")) throw new NoPhoto(phrase`${file.name} is no picture.`);
  const size = pictureSize(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
  if (size && size.width * size.height > MOST_PIXELS)
    throw new NoPhoto(phrase`${file.name} is ${size.width} by ${size.height} points large. Take a smaller picture.`);
  let bitmap: ImageBitmap;
  try {
    bitmap = await createImageBitmap(file);
  } catch {
    throw new NoPhoto(phrase`${file.name} cannot be read as a picture.`);
  }
  try {
    const k = Math.min(1, LONG_SIDE / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [Math.max(1, Math.round(bitmap.width * k)), Math.max(1, Math.round(bitmap.height * k))];
    const canvas = new OffscreenCanvas(width, height);
    canvas.getContext("2d")?.drawImage(bitmap, 0, 0, width, height);
    const blob = await canvas.convertToBlob({ type: "image/jpeg", quality: QUALITY });
    return { type: "image/jpeg", width, height, bytes: new Uint8Array(await blob.arrayBuffer()) };
  } finally {
    bitmap.close();
  }
}
