import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job, a cloth and a number in, the largest that still lies on it out. 400 for input that cannot be read, 422 for what cannot be laid. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request);
  return replyWith(typeof body === "string" ? await asked({ kind: "fit-cloth", body }, request.signal) : body);
}
