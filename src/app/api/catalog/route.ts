import { catalog } from "@/core/derive/catalog";
import { replyWith } from "@/server/request";

/** Everything that can be chosen, with the JSON Schema of its parameters. */
export function GET(): Response {
  const bytes = new TextEncoder().encode(JSON.stringify(catalog()));
  return replyWith({ status: 200, type: "application/json", bytes });
}
