import { derive } from "@/core/derive";
import { newJob } from "@/core/derive/newJob";
import { STYLES } from "@/core/styles";
import { answer, type Answer, type Question } from "./answer";

/** One question and the place to answer it. */
export interface Asked {
  readonly n: number;
  readonly question: Question;
}

/** The answer to it; null where the program failed. */
export interface Given {
  readonly n: number;
  readonly given: Answer | null;
}

/** A card for trying out: the code is quick once it has run a few times, and the first maker need not wait for that. */
const TRIAL = { name: "", unit: "mm", measures: { waist: 760, hip: 1040 } } as const;

for (const style of Object.keys(STYLES)) derive(newJob("", TRIAL, style, "2026-01-01"));

const reply = (given: Given): void => void process.send?.(given);

process.on("message", ({ n, question }: Asked) => {
  answer(question).then(
    (given) => reply({ n, given }),
    (error: unknown) => {
      console.error("a question could not be answered", error);
      reply({ n, given: null });
    },
  );
});
// Without the server it answers nobody.
process.on("disconnect", () => process.exit());
