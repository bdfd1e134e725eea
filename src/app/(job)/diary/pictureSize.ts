/** How large a picture says it is, from the head of its file, before any of it is unpacked; null where it does not say. */
export function pictureSize(head: Uint8Array): { readonly width: number; readonly height: number } | null {
  const view = new DataView(head.buffer, head.byteOffset, head.byteLength);
  const starts = (...bytes: readonly number[]): boolean => bytes.every((b, i) => head[i] === b);
  if (starts(0x89, 0x50, 0x4e, 0x47) && head.length >= 24)
    return { width: view.getUint32(16), height: view.getUint32(20) };
  if (starts(0x47, 0x49, 0x46) && head.length >= 10)
    return { width: view.getUint16(6, true), height: view.getUint16(8, true) };
  if (starts(0x52, 0x49, 0x46, 0x46) && head.length >= 30) return webpSize(view);
  return starts(0xff, 0xd8) ? jpegSize(view) : null;
}

function webpSize(view: DataView): { readonly width: number; readonly height: number } | null {
  const uint24 = (at: number): number => view.getUint16(at, true) + 65_536 * view.getUint8(at + 2);
  switch (view.getUint32(12)) {
    case 0x56503858: // VP8X
      return { width: uint24(24) + 1, height: uint24(27) + 1 };
    case 0x5650384c: {
      // VP8L: two numbers of 14 bits
      const bits = view.getUint32(21, true);
      return { width: (bits & 0x3fff) + 1, height: ((bits >>> 14) & 0x3fff) + 1 };
    }
    case 0x56503820: // VP8
      return { width: view.getUint16(26, true) & 0x3fff, height: view.getUint16(28, true) & 0x3fff };
    default:
      return null;
  }
}

/** Walks the parts of a JPEG to the one that tells its size. */
function jpegSize(view: DataView): { readonly width: number; readonly height: number } | null {
  let at = 2;
  while (at + 9 < view.byteLength) {
    if (view.getUint8(at) !== 0xff) return null;
    const marker = view.getUint8(at + 1);
    const isSize = marker >= 0xc0 && marker <= 0xcf && marker !== 0xc4 && marker !== 0xc8 && marker !== 0xcc;
    if (isSize) return { height: view.getUint16(at + 5), width: view.getUint16(at + 7) };
    at += 2 + view.getUint16(at + 2);
  }
  return null;
}
