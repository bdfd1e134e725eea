import { derive } from "@/core/derive";
import { withCures } from "@/core/derive/cures";
import { handOver, handOverSchema } from "@/core/derive/handOver";
import { replyOf } from "@/core/derive/reply";
import { readJob } from "@/core/files";
import { complaintsOfSchema, Refusal, tapeOf } from "@/core/units";
import { complaints, json, refused, type Answer } from "./reply";
import { fitAnswer, layAnswer } from "./layAnswer";
import { cardsAnswer, makingAnswer } from "./makingAnswer";

/** What is asked of the program without its pages: a job to derive, or a file to make of one. */
export type Question =
  | { readonly kind: "derive"; readonly body: string }
  | { readonly kind: "export"; readonly body: string; readonly how: Readonly<Record<string, string>> }
  | { readonly kind: "cards"; readonly body: string; readonly on: string }
  | { readonly kind: "making"; readonly body: string }
  | { readonly kind: "lay"; readonly body: string }
  | { readonly kind: "fit-cloth"; readonly body: string };

export { refused, type Answer } from "./reply";

/** Answers a question: 400 for what cannot be read, 422 for what cannot be drawn. */
export async function answer(question: Question): Promise<Answer> {
  const how = question.kind === "export" ? handOverSchema.strict().safeParse(question.how) : null;
  if (how && !how.success) return complaints(400, complaintsOfSchema(how.error, []), "cm");
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
  if (!how) throw new RangeError(`${question.kind} is not answered`);
  try {
    const file = await handOver(job, derived, how.data);
    return { status: 200, type: file.type, name: file.name, bytes: file.bytes };
  } catch (error) {
    if (error instanceof Refusal) return complaints(422, [error.complaint], tapeOf(job.body.unit));
    throw error;
  }
}
