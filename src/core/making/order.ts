import type { MadeGarment } from "./garment";
import type { Seam } from "../pieces";
import { operationsOf, type Operation } from "./operations";
import { USUAL_SCHOOLS, type Schools } from "./schools";

/** Each school's order of the main seams of the legs. */
const CLOSES: Readonly<
  Record<Schools["closing"], readonly (readonly [kind: Seam["kind"], root?: "front" | "back"])[]>
> = {
  "crotch-first": [["centre", "front"], ["centre", "back"], ["side"], ["inseam"]],
  "legs-first": [["side"], ["inseam"], ["centre", "front"], ["centre", "back"]],
  "sides-first": [["side"], ["centre", "front"], ["inseam"], ["centre", "back"]],
};

/** The order of a bodice: shoulders, then what is faced or set in, then sides. */
const BODICE: readonly Seam["kind"][] = ["shoulder", "neck", "armhole", "side", "centre"];

/** An operation in its place. */
export interface Step extends Operation {
  readonly n: number;
  /** What has to be done before it. */
  readonly after: readonly string[];
}

/** What must precede what, whatever the school; and the school's own order of closing. */
function constraintsOf(
  derived: MadeGarment,
  operations: readonly Operation[],
  schools: Schools,
): ReadonlyMap<string, ReadonlySet<string>> {
  const after = new Map<string, Set<string>>(operations.map((o) => [o.id, new Set<string>()]));
  const before = (first: string, then: string): void => {
    if (first !== then && after.has(first)) after.get(then)?.add(first);
  };
  const { seams, sewn } = derived;
  const byId = new Map(seams.map((s) => [s.id, s]));
  /** The panels of all the seams that an operation sews. */
  const panelsOf = (o: Operation): readonly string[] =>
    o.seams.flatMap((id) => {
      const seam = byId.get(id);
      return seam ? [...seam.walkA, ...seam.walkB].map((ref) => ref.panel) : [];
    });
  const shares = (a: Operation, b: Operation): boolean => panelsOf(a).some((id) => panelsOf(b).includes(id));
  const component = (id: string): string | undefined => sewn.find((p) => p.id === id)?.is.component;
  // A pocket may take its part of a side: the seam is still the legs'.
  const isOn = (o: Operation, what: string): boolean => panelsOf(o).some((id) => component(id) === what);
  const doing = (...what: readonly Operation["doing"][]): readonly Operation[] =>
    operations.filter((o) => what.includes(o.doing));
  const closing = operations.flatMap((o) => {
    const seam = o.seam === null ? undefined : byId.get(o.seam);
    return seam && o.doing === "seam" ? [{ o, seam }] : [];
  });
  // A piece is whole before anything else is done to it.
  for (const join of doing("join"))
    for (const o of operations) if (o.pieces.some((p) => join.pieces.includes(p))) before(join.id, o.id);
  // Interfacing before any seam of its piece; darts and pleats before any seam that crosses them.
  for (const early of doing("fuse", "dart", "pleat"))
    for (const o of operations)
      if (o.seam !== null && o.pieces.some((p) => early.pieces.includes(p))) before(early.id, o.id);
  for (const fuse of doing("fuse"))
    for (const o of doing("dart", "pleat")) if (o.pieces.some((p) => fuse.pieces.includes(p))) before(fuse.id, o.id);
  const isMain = ({ seam }: (typeof closing)[number]): boolean => seam.kind !== "cut";
  // A piece cut in two is whole again before its sides are closed; pockets and openings lie on flat panels.
  for (const { o, seam } of closing)
    if (seam.kind === "cut") for (const main of closing.filter(isMain)) if (shares(main.o, o)) before(o.id, main.o.id);
  for (const flat of doing("pocket", "opening"))
    for (const main of closing.filter(isMain)) {
      if (shares(flat, main.o)) before(flat.id, main.o.id);
    }
  // The school closes the legs; a bodice has its own order.
  const legs = CLOSES[schools.closing].map(([kind, root]) =>
    closing.filter(
      ({ o, seam }) => seam.kind === kind && (root === undefined || seam.root === root) && isOn(o, "legs"),
    ),
  );
  const bodice = BODICE.map((kind) =>
    operations.filter((o) => {
      const seam = o.seam === null ? undefined : byId.get(o.seam);
      return seam?.kind === kind && isOn(o, "bodice") && o.doing !== "waist";
    }),
  );
  const inTurn = (groups: readonly (readonly string[])[]): void => {
    const filled = groups.filter((g) => g.length > 0);
    filled.slice(1).forEach((group, i) => {
      for (const then of group) for (const first of filled[i] as readonly string[]) before(first, then);
    });
  };
  inTurn(legs.map((group) => group.map(({ o }) => o.id)));
  inTurn(bodice.map((group) => group.map((o) => o.id)));
  // Facings are joined to each other before they are sewn on.
  const facings = doing("facing").flatMap((o) => (o.seam === null ? [] : [{ o, seam: byId.get(o.seam) as Seam }]));
  for (const own of facings.filter(({ seam }) => seam.kind === "cut"))
    for (const on of facings.filter(({ seam }) => seam.kind !== "cut"))
      if (shares(own.o, on.o)) before(own.o.id, on.o.id);
  // What is let in is measured against seams, and closed over after it.
  const sides = closing.filter(({ o, seam }) => seam.kind === "side" && isOn(o, "legs"));
  for (const set of doing("set-in"))
    for (const { o } of closing.filter(({ seam }) => seam.kind === "inseam")) if (shares(set, o)) before(set.id, o.id);
  // The waist after the sides; made as long as the sewn edge.
  for (const waist of doing("waist")) {
    for (const { o } of [...sides, ...closing.filter(({ seam }) => seam.kind === "side" || seam.kind === "centre")])
      before(o.id, waist.id);
  }
  const inseams = closing.filter(({ seam }) => seam.kind === "inseam").map(({ o }) => o.id);
  const waists = doing("waist").map((o) => o.id);
  for (const zip of doing("zip")) {
    const centre = closing.filter(({ seam }) => seam.kind === "centre").map(({ o }) => o.id);
    for (const id of centre) before(id, zip.id);
    // Through a waist seam a zip is set in last of all three.
    const runsThrough = (derived.zip?.above ?? 0) > 0;
    // Before the sides it can only be set in where the centre is closed before them.
    if (runsThrough || schools.zip !== "before-sides" || schools.closing !== "crotch-first")
      for (const id of waists) before(id, zip.id);
    else {
      for (const id of waists) before(zip.id, id);
      for (const { o } of sides) before(zip.id, o.id);
    }
    if (schools.zip === "last") for (const hem of doing("hem")) before(hem.id, zip.id);
  }
  for (const elastic of doing("elastic", "buttonholes")) for (const id of waists) before(id, elastic.id);
  for (const hem of doing("hem")) {
    for (const id of inseams) before(id, hem.id);
    if (schools.hem === "before-band") for (const id of waists) before(hem.id, id);
    if (schools.hem === "last")
      for (const id of [...waists, ...doing("zip").map((o) => o.id)])
        if (!after.get(id)?.has(hem.id)) before(id, hem.id);
  }
  for (const press of doing("press")) for (const o of operations) before(o.id, press.id);
  return after;
}

/** All that `id` has to wait for, near and far. */
function waitsFor(
  id: string,
  after: ReadonlyMap<string, ReadonlySet<string>>,
  seen = new Set<string>(),
): ReadonlySet<string> {
  for (const first of after.get(id) ?? [])
    if (!seen.has(first)) {
      seen.add(first);
      waitsFor(first, after, seen);
    }
  return seen;
}

/**
 * Operations in an order that keeps every constraint, by rank among those that are free. `joined` are pieces that are joined
 * from two, by id. Throws where operations go in a circle.
 */
export function makingOrder(
  derived: MadeGarment,
  schools: Schools = USUAL_SCHOOLS,
  joined: readonly string[] = [],
): readonly Step[] {
  const operations = operationsOf(derived, joined);
  const after = constraintsOf(derived, operations, schools);
  const left = new Map(operations.map((o) => [o.id, o]));
  const done = new Set<string>();
  const steps: Step[] = [];
  while (left.size > 0) {
    const free = [...left.values()].filter((o) => [...(after.get(o.id) ?? [])].every((id) => done.has(id)));
    const next = free.sort((a, b) => a.rank - b.rank)[0];
    if (!next) throw new RangeError(`operations wait for each other: ${[...left.keys()].join(", ")}`);
    left.delete(next.id);
    done.add(next.id);
    // Only what is not waited for through another is told.
    const direct = [...(after.get(next.id) ?? [])];
    const far = new Set(direct.flatMap((id) => [...waitsFor(id, after)]));
    steps.push({ ...next, n: steps.length + 1, after: direct.filter((id) => !far.has(id)) });
  }
  return steps;
}
