import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job in, a file out; how, as docs/api.md lists it: `?format=pdf&paper=a3&arrange=nested`. */
export async function POST(request: Request): Promise<Response> {
  const params = new URL(request.url).searchParams;
  const body = await bodyOf(request);
  if (typeof body !== "string") return replyWith(body);
  return replyWith(await asked({ kind: "export", body, how: Object.fromEntries(params) }, request.signal));
}
