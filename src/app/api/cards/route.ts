import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job in, its chalk cards out: `on=paper` (the usual), `cloth` or `short`. */
export async function POST(request: Request): Promise<Response> {
  const body = await bodyOf(request);
  const on = new URL(request.url).searchParams.get("on") ?? "paper";
  return replyWith(typeof body === "string" ? await asked({ kind: "cards", body, on }, request.signal) : body);
}
