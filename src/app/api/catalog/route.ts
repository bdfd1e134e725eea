import { catalog } from "@/core/derive/catalog";
import { jsonReply } from "../respond";

/** Everything that can be chosen, with the JSON Schema of its parameters. */
export function GET(): Response {
  return jsonReply(catalog());
}
