import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job in (alone, or as `{ job, schools }`), its cutting list, shopping list and making order out. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request);
  return replyWith(typeof body === "string" ? await asked({ kind: "making", body }, request.signal) : body);
}
