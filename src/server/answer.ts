import { derive } from "@/core/derive";
import { withCures } from "@/core/derive/cures";
import { EXPORT_FORMATS, handOver, type ExportFormat } from "@/core/derive/handOver";
import { replyOf } from "@/core/derive/reply";
import { readJob } from "@/core/files";
import { PAPERS, type Paper } from "@/core/files/pdf";
import { tapeOf } from "@/core/units";
import { complaints, json, refused, type Answer } from "./reply";
import { fitAnswer, layAnswer } from "./layAnswer";
import { cardsAnswer, makingAnswer } from "./makingAnswer";

/** What is asked of the program without its pages: a job to derive, or a file to make of one. */
export type Question =
  | { readonly kind: "derive"; readonly body: string }
  | { readonly kind: "export"; readonly body: string; readonly format: string; readonly paper: string }
  | { readonly kind: "cards"; readonly body: string; readonly on: string }
  | { readonly kind: "making"; readonly body: string }
  | { readonly kind: "lay"; readonly body: string }
  | { readonly kind: "fit-cloth"; readonly body: string };

export { refused, type Answer } from "./reply";

const has = (options: object, key: string): boolean => Object.hasOwn(options, key);

/** Answers a question: 400 for what cannot be read, 422 for what cannot be drawn. */
export async function answer(question: Question): Promise<Answer> {
  if (question.kind === "export") {
    if (!EXPORT_FORMATS.includes(question.format as ExportFormat))
      return refused(400, "format", `Choose one of: ${EXPORT_FORMATS.join(", ")}.`);
    if (!has(PAPERS, question.paper)) return refused(400, "paper", `Choose one of: ${Object.keys(PAPERS).join(", ")}.`);
  }
  let value: unknown;
  try {
    value = JSON.parse(question.body);
  } catch {
    return refused(400, "", "The request is not JSON.");
  }
  if (question.kind === "cards") return cardsAnswer(value, question.on);
  if (question.kind === "making") return makingAnswer(value);
  if (question.kind === "lay") return layAnswer(value);
  if (question.kind === "fit-cloth") return fitAnswer(value);
  const read = readJob(value);
  if (read.kind !== "job") return complaints(400, read.errors, "cm");
  const { job } = read;
  const derived = derive(job);
  if (!derived.ok) return complaints(derived.status, derived.errors, tapeOf(job.body.unit));
  if (question.kind === "derive") return json(200, replyOf(withCures(job, derived), job.body.unit));
  const file = await handOver(job, derived, question.format as ExportFormat, question.paper as Paper);
  return { status: 200, type: file.type, name: file.name, bytes: file.bytes };
}
