import { EXPORT_FORMATS, handOver, type ExportFormat } from "@/core/derive/handOver";
import { PAPERS, type Paper } from "@/core/files/pdf";
import { derivedFrom, refusal } from "../respond";

/** A job in, a file out: `?format=pdf|svg|json&paper=a4|letter`. */
export async function POST(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  const format = asked.get("format") ?? "pdf";
  const paper = asked.get("paper") ?? "a4";
  if (!EXPORT_FORMATS.includes(format as ExportFormat)) {
    return refusal(400, "format", `Choose one of: ${EXPORT_FORMATS.join(", ")}.`);
  }
  if (!(paper in PAPERS)) return refusal(400, "paper", `Choose one of: ${Object.keys(PAPERS).join(", ")}.`);
  const result = await derivedFrom(request);
  if ("refused" in result) return result.refused;
  const file = await handOver(result.job, result.derived, format as ExportFormat, paper as Paper);
  return new Response(file.bytes.slice().buffer, {
    headers: {
      "content-type": file.type,
      "content-disposition": `attachment; filename="${file.name}"`,
      "x-content-type-options": "nosniff",
      "cache-control": "no-store",
    },
  });
}
