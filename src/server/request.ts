import { isOwnHost } from "@/policy";
import { refused, type Answer } from "./answer";

/** A job is far smaller. */
const MAX_BYTES = 2_000_000;

/** An answer as a reply that no browser reads as anything else. */
export function replyWith({ status, type, name, bytes }: Answer): Response {
  return new Response(bytes.slice().buffer, {
    status,
    headers: {
      "content-type": type,
      ...(name && { "content-disposition": `attachment; filename="${name}"` }),
      "x-content-type-options": "nosniff",
      "cache-control": "no-store",
    },
  });
}

/** True where a page of another place sends the request. */
function isFromElsewhere({ headers }: Request): boolean {
  const origin = headers.get("origin");
  const site = headers.get("sec-fetch-site");
  if (site !== null && site !== "same-origin" && site !== "none") return true;
  if (origin === null) return false;
  try {
    return new URL(origin).host !== headers.get("host");
  } catch {
    return true;
  }
}

/** The body of a request as text, or why it is not read. It is cut off while it is read once it is too long. */
export async function bodyOf(request: Request): Promise<string | Answer> {
  const [type] = (request.headers.get("content-type") ?? "").split(";");
  if (type?.trim().toLowerCase() !== "application/json") return refused(415, "", "Send the job as application/json.");
  if (!isOwnHost(request.headers.get("host")) && request.headers.has("host"))
    return refused(421, "", "Eland is not asked by this name: its keeper lists further ones in ELAND_HOSTS.");
  if (isFromElsewhere(request)) return refused(403, "", "Only Eland’s own pages and programs of this machine may ask.");
  const tooLong = refused(413, "", "The request is over 2 MB.");
  if (Number(request.headers.get("content-length") ?? 0) > MAX_BYTES) return tooLong;
  const reader = request.body?.getReader();
  if (!reader) return "";
  const decoder = new TextDecoder();
  let [text, length] = ["", 0];
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    length += value.byteLength;
    if (length > MAX_BYTES) {
      void reader.cancel();
      return tooLong;
    }
    text += decoder.decode(value, { stream: true });
  }
}
