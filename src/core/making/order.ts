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

/** What the constraints are read from, and where they are gathered: for every operation, what comes before it. */
class Constraints {
  readonly after: Map<string, Set<string>>;
  private readonly seamById: ReadonlyMap<string, Seam>;
  /** Plain seams, with the first each of them sews. */
  readonly closing: readonly { readonly o: Operation; readonly seam: Seam }[];

  constructor(
    readonly derived: MadeGarment,
    readonly operations: readonly Operation[],
  ) {
    this.after = new Map(operations.map((o) => [o.id, new Set<string>()]));
    this.seamById = new Map(derived.seams.map((s) => [s.id, s]));
    this.closing = operations.flatMap((o) => {
      const seam = this.seamOf(o);
      return seam && o.doing === "seam" ? [{ o, seam }] : [];
    });
  }

  before(first: string, then: string): void {
    if (first !== then && this.after.has(first)) this.after.get(then)?.add(first);
  }

  seamOf(o: Operation): Seam | undefined {
    return o.seam === null ? undefined : this.seamById.get(o.seam);
  }

  /** The panels of all the seams that an operation sews. */
  private panelsOf(o: Operation): readonly string[] {
    return o.seams.flatMap((id) => {
      const seam = this.seamById.get(id);
      return seam ? [...seam.walkA, ...seam.walkB].map((ref) => ref.panel) : [];
    });
  }

  shares(a: Operation, b: Operation): boolean {
    return this.panelsOf(a).some((id) => this.panelsOf(b).includes(id));
  }

  // A pocket may take its part of a side: the seam is still the legs'.
  isOn(o: Operation, what: string): boolean {
    return this.panelsOf(o).some((id) => this.derived.sewn.find((p) => p.id === id)?.is.component === what);
  }

  doing(...what: readonly Operation["doing"][]): readonly Operation[] {
    return this.operations.filter((o) => what.includes(o.doing));
  }

  /** The plain seams of some kinds. */
  seams(...kinds: readonly Seam["kind"][]): readonly Operation[] {
    return this.closing.flatMap(({ o, seam }) => (kinds.includes(seam.kind) ? [o] : []));
  }

  inTurn(groups: readonly (readonly Operation[])[]): void {
    const filled = groups.filter((g) => g.length > 0);
    filled.slice(1).forEach((group, i) => {
      for (const then of group) for (const first of filled[i] as readonly Operation[]) this.before(first.id, then.id);
    });
  }
}

/** A piece is whole before anything else is done to it, then flat: interfacing, darts, what was cut in two, pockets. */
function flatFirst(c: Constraints): void {
  const share = (a: Operation, b: Operation): boolean => a.pieces.some((p) => b.pieces.includes(p));
  for (const join of c.doing("join")) for (const o of c.operations) if (share(o, join)) c.before(join.id, o.id);
  // Interfacing before any seam of its piece; darts and pleats before any seam that crosses them.
  for (const early of c.doing("fuse", "dart", "pleat"))
    for (const o of c.operations) if (o.seam !== null && share(o, early)) c.before(early.id, o.id);
  for (const fuse of c.doing("fuse"))
    for (const o of c.doing("dart", "pleat")) if (share(fuse, o)) c.before(fuse.id, o.id);
  // A piece cut in two is whole again before its sides are closed; pockets and openings lie on flat panels.
  const main = c.closing.flatMap(({ o, seam }) => (seam.kind === "cut" ? [] : [o]));
  for (const flat of [...c.seams("cut"), ...c.doing("pocket", "opening")])
    for (const o of main) if (c.shares(o, flat)) c.before(flat.id, o.id);
}

/** The school closes the legs; a bodice has its own order; facings are joined to each other before they are sewn on. */
function closed(c: Constraints, { closing }: Schools): void {
  c.inTurn(
    CLOSES[closing].map(([kind, root]) =>
      c.closing.flatMap(({ o, seam }) =>
        seam.kind === kind && (root === undefined || seam.root === root) && c.isOn(o, "legs") ? [o] : [],
      ),
    ),
  );
  c.inTurn(
    BODICE.map((kind) =>
      c.operations.filter((o) => c.seamOf(o)?.kind === kind && c.isOn(o, "bodice") && o.doing !== "waist"),
    ),
  );
  const facings = c.doing("facing").filter((o) => o.seam !== null);
  for (const own of facings.filter((o) => c.seamOf(o)?.kind === "cut"))
    for (const on of facings.filter((o) => c.seamOf(o)?.kind !== "cut")) if (c.shares(own, on)) c.before(own.id, on.id);
  // What is let in is measured against seams, and closed over after it.
  for (const set of c.doing("set-in")) for (const o of c.seams("inseam")) if (c.shares(set, o)) c.before(set.id, o.id);
}

/** The waist after the sides, made as long as the sewn edge; then zip, elastic and hem as the school has them. */
function finished(c: Constraints, schools: Schools): void {
  const waists = c.doing("waist");
  for (const waist of waists) for (const o of c.seams("side", "centre")) c.before(o.id, waist.id);
  for (const zip of c.doing("zip")) {
    for (const o of c.seams("centre")) c.before(o.id, zip.id);
    // Through a waist seam a zip is set in last of all three.
    const runsThrough = (c.derived.zip?.above ?? 0) > 0;
    // Before the sides it can only be set in where the centre is closed before them.
    if (runsThrough || schools.zip !== "before-sides" || schools.closing !== "crotch-first")
      for (const { id } of waists) c.before(id, zip.id);
    else for (const { id } of [...waists, ...c.seams("side").filter((o) => c.isOn(o, "legs"))]) c.before(zip.id, id);
    if (schools.zip === "last") for (const hem of c.doing("hem")) c.before(hem.id, zip.id);
  }
  for (const elastic of c.doing("elastic", "buttonholes")) for (const { id } of waists) c.before(id, elastic.id);
  for (const hem of c.doing("hem")) {
    for (const { id } of c.seams("inseam")) c.before(id, hem.id);
    if (schools.hem === "before-band") for (const { id } of waists) c.before(hem.id, id);
    if (schools.hem === "last")
      for (const { id } of [...waists, ...c.doing("zip")]) if (!c.after.get(id)?.has(hem.id)) c.before(id, hem.id);
  }
  for (const press of c.doing("press")) for (const o of c.operations) c.before(o.id, press.id);
}

/** What must precede what, whatever the school; and the school's own order of closing. */
function constraintsOf(
  derived: MadeGarment,
  operations: readonly Operation[],
  schools: Schools,
): ReadonlyMap<string, ReadonlySet<string>> {
  const constraints = new Constraints(derived, operations);
  flatFirst(constraints);
  closed(constraints, schools);
  finished(constraints, schools);
  return constraints.after;
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
