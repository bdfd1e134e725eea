import { derive } from "@/core/derive";
import { workSheetOf } from "@/core/derive/workSheet";
import { noticesOf } from "@/core/derive/handOver";
import { withCures } from "@/core/derive/cures";
import { SCHOOLS } from "@/core/drafting";
import type { Job } from "@/core/files";
import { CARD_KINDS, cardsOf, makingOrder, shoppingList, USUAL_SCHOOLS } from "@/core/making";
import { randomFinish } from "@/core/testing/randomFinish";
import { seededRandom } from "@/core/testing/bodies";
import { tell, type Sentence } from "@/core/units";
import { inTongue, speak } from "@/core/words";
import { STYLES } from "@/core/styles";
import { SAMPLE_JOBS } from "@/store/sampleWorkroom";
import { collectedWords } from "./collected";
import { GERMAN } from "./de";
import { localeOf } from "./speak";

/** What has no German words yet is filled in later: here it is told as this. What is never looked up stays English. */
const LATER = "(noch ohne Worte)";

beforeAll(() => {
  const german = localeOf(GERMAN);
  const english = new Set(collectedWords(process.cwd()));
  speak({ ...german, message: (text) => german.message(text) ?? (english.has(text) ? LATER : undefined) });
});
afterAll(() => speak(null));

/** Words that German has not, and no English sentence of some length is without. */
const ENGLISH =
  /\b(the|and|of|is|are|with|from|to|at|by|its|each|than|below|above|front|back|waist|hip|knee|hem|seam|crotch|cut|cloth|piece|dart|fold|edge)\b/i;

/** All that is told anywhere in a reply: sentences, and the words of labels and names. */
function toldIn(value: unknown, told: string[] = [], key = ""): readonly string[] {
  if (typeof value === "string") {
    if (/^(label|name|text|says|message|words|how|note|about|title|what|do)$/.test(key)) told.push(inTongue(value));
  } else if (Array.isArray(value)) {
    value.forEach((part) => toldIn(part, told, key));
  } else if (typeof value === "object" && value !== null && "text" in value && "values" in value)
    told.push(tell(value as Sentence, "cm"));
  else if (typeof value === "object" && value !== null)
    for (const [name, own] of Object.entries(value)) toldIn(own, told, name);
  return told;
}

/** What is English in all that is told of a job, without the words that are the maker's own. */
function englishIn(job: Job): readonly string[] {
  const derived = derive(job);
  if (!derived.ok) return toldIn(derived.errors).filter((text) => ENGLISH.test(text));
  const order = makingOrder(derived, USUAL_SCHOOLS);
  const all = toldIn([
    withCures(job, derived).checks,
    derived.block.steps,
    derived.worksheet,
    derived.pieces.map((p) => ({ name: p.name, label: p.label.slice(1) })),
    derived.joins,
    order,
    shoppingList(derived),
    CARD_KINDS.map((kind) => cardsOf(derived, kind, "cm")),
    workSheetOf({ ...job, name: "Muster" }, derived, noticesOf(derived)),
  ]);
  expect(all.length).toBeGreaterThan(200);
  return [...new Set(all)].filter((text) => ENGLISH.test(text));
}

const ownWords = (job: Job): Job => ({
  ...job,
  name: "Muster",
  fittings: [],
  versions: [],
  cloth: { ...job.cloth, name: "Leinen" },
  body: { ...job.body, name: "Ida" },
});

test.each(SAMPLE_JOBS.map(({ id, job }) => [id, job] as const))("%s is told in German alone", (_, job) => {
  expect(englishIn(ownWords(job))).toEqual([]);
});

test.each(Object.keys(SCHOOLS).filter((school) => school !== "own"))("the school %s as well", (school) => {
  const [first] = SAMPLE_JOBS;
  const job = ownWords(first?.job as Job);
  const { block: _, ...rest } = job;
  expect(englishIn({ ...rest, block: { school: school as keyof typeof SCHOOLS, rules: {} } })).toEqual([]);
});

test("every style with finishes of any kind", () => {
  const random = seededRandom(71);
  const [first] = SAMPLE_JOBS;
  for (const id of Object.keys(STYLES)) {
    const { moves: _, ...plain } = ownWords(first?.job as Job);
    const found = englishIn({ ...plain, style: { id, params: {} }, finish: randomFinish(random) });
    expect([id, ...found]).toEqual([id]);
  }
});
