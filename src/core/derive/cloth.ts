import type { Job } from "../files";
import { readLength, type LengthInput, type Mm, range, say, type Complaint } from "../units";

/** The cloth in hand; null for what is not said. `stretch` is the share it gives across. */
export interface ClothInHand {
  readonly width: Mm | null;
  readonly length: Mm | null;
  readonly liningWidth: Mm | null;
  readonly stretch: number;
}

const LIMITS = { width: [100, 5000], liningWidth: [100, 5000], length: [100, 100000] } as const;

/** Reads the cloth of a job; what cannot be read is an error at its path. */
export function clothOf({ cloth, body }: Job): { readonly cloth: ClothInHand; readonly errors: readonly Complaint[] } {
  const errors: Complaint[] = [];
  const read = (key: keyof typeof LIMITS, input: LengthInput | undefined): Mm | null => {
    if (input === undefined) return null;
    const length = readLength(input, body.unit);
    const [least, most] = LIMITS[key];
    if (!length.ok) errors.push({ path: `cloth.${key}`, says: [length.message] });
    else if (length.mm < least || length.mm > most) {
      errors.push({ path: `cloth.${key}`, says: say`Cloth is ${range(least, most)} here.` });
    } else return length.mm;
    return null;
  };
  return {
    cloth: {
      width: read("width", cloth?.width),
      length: read("length", cloth?.length),
      liningWidth: read("liningWidth", cloth?.liningWidth),
      stretch: cloth?.stretch ?? 0,
    },
    errors,
  };
}
