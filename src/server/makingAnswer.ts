import { overAfter } from "@/clock";
import { z } from "zod";
import { USUAL_WIDTH } from "@/core/cloth/sold";
import { derive } from "@/core/derive";
import { clothOf } from "@/core/derive/cloth";
import { layWithin, shapesOf } from "@/core/derive/lay";
import {
  CARD_KINDS,
  cardsOf,
  cuttingList,
  makingOrder,
  schoolsSchema,
  shoppingList,
  USUAL_SCHOOLS,
  type CardKind,
} from "@/core/making";
import { readJob } from "@/core/files";
import { complaintsOfSchema, roundToTape, tapeOf, tell, type Tape, NOTHING, textOf } from "@/core/units";
import { complaints, json, refused, type Answer } from "./reply";

/** A length as it is drawn, and as it stands on the maker's tape. */
const onTape = (mm: number, tape: Tape) => ({ mm, tape: roundToTape(mm, tape).mm });

/** The chalk cards of a job. */
export function cardsAnswer(value: unknown, on: string): Answer {
  if (!CARD_KINDS.includes(on as CardKind)) return refused(400, "on", `Choose one of: ${CARD_KINDS.join(", ")}.`);
  const read = readJob(value);
  if (read.kind !== "job") return complaints(400, read.errors, "cm");
  const tape = tapeOf(read.job.body.unit);
  const derived = derive(read.job);
  if (!derived.ok) return complaints(derived.status, derived.errors, tape);
  return json(200, {
    ok: true,
    on,
    tape,
    cards: cardsOf(derived, on as CardKind, tape).map(({ says, name, numbers, ...card }) => ({
      ...card,
      name: textOf(name),
      text: tell(says, tape),
      numbers: Object.fromEntries(Object.entries(numbers).map(([name, mm]) => [name, onTape(mm, tape)])),
    })),
  });
}

/** A job alone, or a job with the schools of making. */
const wrappedSchema = z.strictObject({ job: z.unknown(), schools: schoolsSchema.partial().default({}) });

const isWrapped = (value: unknown): boolean => typeof value === "object" && value !== null && "job" in value;

/** A quick look at the cloth: how long it is here is for the lay to say. */
const QUICK = { steps: 100, milliseconds: 700 } as const;

/** Cutting list, shopping list and making order of a job. */
export function makingAnswer(value: unknown): Answer {
  const asked = wrappedSchema.safeParse(isWrapped(value) ? value : { job: value });
  if (!asked.success) return complaints(400, complaintsOfSchema(asked.error, []), "cm");
  const read = readJob(asked.data.job);
  if (read.kind !== "job") return complaints(400, read.errors, "cm");
  const { job } = read;
  const tape = tapeOf(job.body.unit);
  const derived = derive(job);
  if (!derived.ok) return complaints(derived.status, derived.errors, tape);
  const { width, lies } = clothOf(job).cloth;
  const cloth = { width: width ?? USUAL_WIDTH.shell, ...lies };
  const made = shapesOf(job, "shell", cloth);
  const laid = made.ok
    ? layWithin(made.shapes, cloth, 1, { steps: QUICK.steps, isOver: overAfter(QUICK.milliseconds) })
    : null;
  const schools = { ...USUAL_SCHOOLS, ...job.making, ...asked.data.schools };
  return json(200, {
    ok: true,
    cutting: cuttingList(derived).map((line) => ({ ...line, name: textOf(line.name) })),
    shopping: [
      {
        id: "shell",
        label: "Shell",
        count: 1,
        length: laid?.ok ? laid.lay.length : null,
        width: width ?? USUAL_WIDTH.shell,
        note: laid && !laid.ok ? tell(laid.errors[0]?.says ?? NOTHING, tape) : null,
      },
      ...shoppingList(derived).map(({ label, note, ...bought }) => ({
        ...bought,
        label: tell(label, tape),
        note: note && tell(note, tape),
      })),
    ],
    order: makingOrder(derived, schools, job.cloth?.joined).map(
      ({ says, seam, caution, rank: _rank, doing, ...step }) => ({
        ...step,
        do: doing,
        joins: seam,
        text: tell(says, tape),
        caution: caution && tell(caution, tape),
      }),
    ),
    undecided: derived.undecided.map((says) => tell(says, tape)),
    schools,
  });
}
