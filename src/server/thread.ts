import { parentPort } from "node:worker_threads";
import { derive } from "@/core/derive";
import { newJob } from "@/core/derive/newJob";
import { STYLES } from "@/core/styles";
import { answer, type Question } from "./answer";

/** One question and the place to answer it. */
export interface Asked {
  readonly n: number;
  readonly question: Question;
}

/** A card for trying out: the code is quick once it has run a few times, and the first maker need not wait for that. */
const TRIAL = { name: "", unit: "mm", measures: { waist: 760, hip: 1040 } } as const;

for (const style of Object.keys(STYLES)) derive(newJob("", TRIAL, style, "2026-01-01"));

const port = parentPort;
port?.on("message", ({ n, question }: Asked) => {
  answer(question).then(
    (given) => port.postMessage({ n, given }),
    (error: unknown) => {
      console.error("a question could not be answered", error);
      port.postMessage({ n, given: null });
    },
  );
});
