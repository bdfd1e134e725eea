import { derive, type Derived } from "@/core/derive";
import { parseJob, type Job } from "@/core/files";
import { tapeOf, tell, type Complaint, type Tape } from "@/core/units";

const MAX_BYTES = 2_000_000;

/** A JSON reply that no browser will read as anything else. */
export function jsonReply(value: unknown, status = 200): Response {
  return Response.json(value, {
    status,
    headers: { "x-content-type-options": "nosniff", "cache-control": "no-store" },
  });
}

/** What stands in the way, told on a tape. */
function complaintsReply(complaints: readonly Complaint[], tape: Tape, status: number): Response {
  const errors = complaints.map(({ path, says, nearest }) => ({
    path,
    message: tell(says, tape),
    ...(nearest !== undefined && { largest: nearest }),
  }));
  return jsonReply({ ok: false, errors }, status);
}

export function refusal(status: number, path: string, message: string): Response {
  return jsonReply({ ok: false, errors: [{ path, message }] }, status);
}

/** Reads a body of limited size as JSON, or the refusal to send instead. */
async function readJson(request: Request): Promise<{ readonly value: unknown } | { readonly refused: Response }> {
  const declared = Number(request.headers.get("content-length") ?? 0);
  if (declared > MAX_BYTES) return { refused: refusal(413, "", "The request is over 2 MB.") };
  const text = await request.text();
  if (text.length > MAX_BYTES) return { refused: refusal(413, "", "The request is over 2 MB.") };
  try {
    return { value: JSON.parse(text) as unknown };
  } catch {
    return { refused: refusal(400, "", "The request is not JSON.") };
  }
}

/** Reads and derives the job of a request, or the refusal to send instead. */
export async function derivedFrom(
  request: Request,
): Promise<{ readonly job: Job; readonly derived: Derived } | { readonly refused: Response }> {
  const read = await readJson(request);
  if ("refused" in read) return read;
  const parsed = parseJob(read.value);
  if (!parsed.ok) return { refused: complaintsReply(parsed.errors, "cm", 400) };
  const derived = derive(parsed.job);
  if (!derived.ok) return { refused: complaintsReply(derived.errors, tapeOf(parsed.job.body.unit), derived.status) };
  return { job: parsed.job, derived };
}
