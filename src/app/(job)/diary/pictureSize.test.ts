import { pictureSize } from "./pictureSize";

const bytes = (...parts: readonly (string | readonly number[])[]): Uint8Array =>
  Uint8Array.from(parts.flatMap((p) => (typeof p === "string" ? [...p].map((c) => c.charCodeAt(0)) : [...p])));
const zeros = (n: number): number[] => new Array<number>(n).fill(0);

test("pictures say how large they are before they are unpacked", () => {
  const png = bytes([0x89], "PNG", [13, 10, 26, 10, 0, 0, 0, 13], "IHDR", [0, 1, 0, 0, 0, 0, 0x80, 0]);
  expect(pictureSize(png)).toEqual({ width: 65_536, height: 32_768 });
  expect(pictureSize(bytes("GIF89a", [0x80, 0x02, 0xe0, 0x01]))).toEqual({ width: 640, height: 480 });
  const jpeg = bytes([0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 2, 0xff, 0xc2, 0, 17, 8, 0x0b, 0xb8, 0x0f, 0xa0, 3], zeros(9));
  expect(pictureSize(jpeg)).toEqual({ width: 4000, height: 3000 });
  const webp = bytes("RIFF", zeros(4), "WEBPVP8X", zeros(8), [0x3f, 0x1f, 0, 0x6f, 0x17, 0], zeros(4));
  expect(pictureSize(webp)).toEqual({ width: 8000, height: 6000 });
});

test("what is no picture, or is cut short, says nothing and throws nothing", () => {
  for (const odd of [
    bytes("no picture at all"),
    bytes([0xff, 0xd8]),
    bytes([0xff, 0xd8, 0xff, 0xe0, 0xff, 0xff]),
    bytes([0x89], "PN"),
  ])
    expect(pictureSize(odd)).toBeNull();
});
