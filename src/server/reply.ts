import { tell, type Complaint, type Tape } from "@/core/units";

/** What is sent back, ready to be sent. */
export interface Answer {
  readonly status: number;
  readonly type: string;
  /** Name of the file, where it is one. */
  readonly name?: string;
  readonly bytes: Uint8Array;
}

/** Of many complaints the first are told. */
const MOST_ERRORS = 20;

const encoded = (value: unknown): Uint8Array => new TextEncoder().encode(JSON.stringify(value));

export const json = (status: number, value: unknown): Answer => ({
  status,
  type: "application/json",
  bytes: encoded(value),
});

/** One thing that stands in the way, as an answer. */
export const refused = (status: number, path: string, message: string): Answer =>
  json(status, { ok: false, errors: [{ path, message }] });

/** What stands in the way, told on a tape. */
export function complaints(status: number, list: readonly Complaint[], tape: Tape): Answer {
  const errors = list.slice(0, MOST_ERRORS).map(({ path, says, least, most }) => ({
    path,
    message: tell(says, tape),
    ...(least !== undefined && { smallest: least }),
    ...(most !== undefined && { largest: most }),
  }));
  return json(status, { ok: false, errors });
}
