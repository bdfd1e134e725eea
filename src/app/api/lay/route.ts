import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job and a cloth in, a lay out. 400 for input that cannot be read, 422 for what cannot be laid. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request);
  return replyWith(typeof body === "string" ? await asked({ kind: "lay", body }, request.signal) : body);
}
