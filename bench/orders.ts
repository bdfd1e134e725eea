import { derive, type Derived } from "../src/core/derive";
import { CLOSINGS, HEMS, makingOrder, ZIPS, type Schools, type Step } from "../src/core/making";
import { STYLES } from "../src/core/styles";
import { plausibleBody } from "../src/core/testing/bodies";
import { HAND_BODY, palazzoJob } from "../src/core/testing/jobs";
import { randomWorksheet } from "../src/core/testing/randomMoves";

/**
 * The order of making of every style and of many random garments, in every school: each seam, dart, hem and zip once, and what
 * always has to precede what. The rules are looked up here by the pieces of the steps, not by the engine's constraints.
 */
const COUNT = Number(process.env.COUNT ?? 2000);
const SCHOOLS: readonly Schools[] = CLOSINGS.flatMap((closing) =>
  ZIPS.flatMap((zip) => HEMS.map((hem): Schools => ({ closing, zip, hem }))),
);

function faultsOf(derived: Derived, schools: Schools): string[] {
  const order = makingOrder(derived, schools, ["front"]);
  const faults: string[] = [];
  const say = (what: string): void =>
    void faults.push(`${derived.style.id} ${Object.values(schools).join("/")}: ${what}`);
  const times = (what: string, count: number, wanted: number): void => {
    if (count !== wanted) say(`${what} ${count} times, not ${wanted}`);
  };
  const shares = (a: Step, b: Step): boolean => a.pieces.some((p) => b.pieces.includes(p));
  const kindOf = (step: Step): string | null => derived.seams.find((s) => s.id === step.seam)?.kind ?? null;
  const inFront = (
    first: readonly Step[],
    then: readonly Step[],
    what: string,
    when: (a: Step, b: Step) => boolean,
  ): void => {
    for (const a of first)
      for (const b of then) if (a !== b && when(a, b) && a.n > b.n) say(`${what}: ${a.id} after ${b.id}`);
  };
  if (new Set(order.map((o) => o.id)).size !== order.length) say("a step comes twice");
  // What runs on the other leg as well is sewn with its twin, in one step.
  for (const seam of derived.seams) times(`seam ${seam.id}`, order.filter((o) => o.seams.includes(seam.id)).length, 1);
  for (const piece of derived.pieces) {
    const has = (kind: string): boolean => piece.panel.lines.some((l) => l.kind === kind);
    times(
      `darts of ${piece.id}`,
      order.filter((o) => o.doing === "dart" && o.pieces.includes(piece.id)).length,
      has("dart") ? 1 : 0,
    );
  }
  times("zip", order.filter((o) => o.doing === "zip").length, derived.notions.some((n) => n.id === "zip") ? 1 : 0);
  if (order.at(-1)?.doing !== "press") say("pressing is not last");
  order.forEach((o, i) => {
    if (o.n !== i + 1) say("the steps are not counted");
    for (const first of o.after)
      if ((order.find((p) => p.id === first)?.n ?? Infinity) >= o.n) say(`${o.id} before ${first}`);
  });
  const doing = (...what: readonly Step["doing"][]): readonly Step[] => order.filter((o) => what.includes(o.doing));
  const sewn = order.filter((o) => o.seam !== null);
  const ofKind = (...kinds: readonly string[]): readonly Step[] =>
    doing("seam").filter((o) => kinds.includes(kindOf(o) ?? ""));
  inFront(doing("join"), order, "joined first", shares);
  inFront(doing("fuse"), sewn, "fused before it is sewn", shares);
  inFront(doing("dart", "pleat"), sewn, "darts before seams", shares);
  inFront(ofKind("side"), doing("waist"), "sides before the waist", () => true);
  inFront(ofKind("inseam"), doing("hem"), "inseams before the hem", () => true);
  inFront(doing("waist"), doing("elastic", "buttonholes"), "the waist before its elastic", () => true);
  inFront(ofKind("centre"), doing("zip"), "the seam below a zip before it", () => true);
  return faults;
}

let [made, refused] = [0, 0];
const faults: string[] = [];
const look = (derived: ReturnType<typeof derive>): void => {
  if (!derived.ok) return void refused++;
  made++;
  for (const schools of SCHOOLS) faults.push(...faultsOf(derived, schools));
};
for (const id of Object.keys(STYLES)) look(derive(palazzoJob(HAND_BODY, { style: { id, params: {} } })));
for (let seed = 0; seed < COUNT; seed++) {
  const { style, moves } = randomWorksheet(seed);
  look(derive(palazzoJob(plausibleBody(seed), { style: { id: style, params: {} }, moves })));
}
console.log(JSON.stringify({ made, refused, schools: SCHOOLS.length, faults: faults.length }));
const kinds = new Map<string, number>();
for (const fault of faults) {
  const what = fault.replace(/^\S+ \S+: /, "").replace(/\d+/g, "n");
  kinds.set(what, (kinds.get(what) ?? 0) + 1);
}
for (const [what, count] of [...kinds].sort((a, b) => b[1] - a[1]).slice(0, 30)) console.log(count, what);
