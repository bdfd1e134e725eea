import { asked } from "@/server/pool";
import { bodyOf, replyWith } from "@/server/request";

/** A job in, a file out: `?format=pdf|svg|json&paper=a4|letter`. */
export async function POST(request: Request): Promise<Response> {
  const params = new URL(request.url).searchParams;
  const body = await bodyOf(request);
  if (typeof body !== "string") return replyWith(body);
  const [format, paper] = [params.get("format") ?? "pdf", params.get("paper") ?? "a4"];
  return replyWith(await asked({ kind: "export", body, format, paper }));
}
