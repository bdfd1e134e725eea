import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job in, everything it comes to out. 400 for input that cannot be read, 422 for what cannot be drawn. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request);
  return replyWith(typeof body === "string" ? await asked({ kind: "derive", body }, request.signal) : body);
}
