import { replyOf } from "@/core/derive/reply";
import { derivedFrom, jsonReply } from "../respond";

/** A job in, everything it comes to out. 400 for input that cannot be read, 422 for what cannot be drawn. */
export async function POST(request: Request): Promise<Response> {
  const result = await derivedFrom(request);
  return "refused" in result ? result.refused : jsonReply(replyOf(result.derived, result.job.body.unit));
}
