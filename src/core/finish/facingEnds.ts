import {
  against,
  along,
  cameFrom,
  type EdgeRole,
  edgeOf,
  panelById,
  type EdgeRef,
  type Join,
  type Panel,
  type PartKind,
} from "../pattern";
import { pathLength } from "../geometry";
import { type Mm, say } from "../units";
import { withParts, type Garment } from "./garment";
import type { OpensAt } from "./define";

/** Ends of two facings are sewn to each other where they are as long as each other, within this. */
const AS_LONG: Mm = 1;

const FACINGS: ReadonlySet<PartKind> = new Set(["facing", "hem-facing"]);
const keyOf = ({ panel, edge }: EdgeRef): string => `${panel}.${edge}`;

/**
 * The garment with the ends of its facings sewn to each other as the seams they lie under are, and turned in where the
 * garment opens there or what lies beyond the seam has no facing. The ends of a facing keep the ids of the edges of the
 * panel it was drawn from. What lies under no seam is left as it is.
 */
export function withFacingEnds(garment: Garment, opens: OpensAt): Garment {
  const sewn = new Set(garment.joins.flatMap((j) => [...j.a, ...j.b]).map(keyOf));
  const facings = garment.panels.filter((p) => p.is.part !== null && FACINGS.has(p.is.part) && p.is.madeFor !== null);
  const endsIn = (refs: readonly EdgeRef[]): readonly EdgeRef[] =>
    facings.flatMap((facing) =>
      facing.edges
        .filter((e) => e.role !== "fold" && e.becomes === undefined && !sewn.has(`${facing.id}.${e.id}`))
        .flatMap((e) => {
          const over = refs.find(
            (ref) => ref.edge === e.id && cameFrom(panelById(garment.panels, ref.panel), facing.is.madeFor ?? ""),
          );
          return over ? [{ panel: facing.id, edge: e.id, reversed: over.reversed }] : [];
        }),
    );
  const long = (ref: EdgeRef): Mm => pathLength(edgeOf(panelById(garment.panels, ref.panel), ref.edge).path);
  /** What the facing turns beside an end of it: two ends are sewn to each other where they turn the same. */
  const turnsBeside = ({ panel: id, edge }: EdgeRef): readonly EdgeRole[] => {
    const { edges } = panelById(garment.panels, id);
    const at = edges.findIndex((e) => e.id === edge);
    return [edges[(at + edges.length - 1) % edges.length], edges[(at + 1) % edges.length]].flatMap((e) =>
      e && sewn.has(`${id}.${e.id}`) ? e.role : [],
    );
  };
  const meet = (a: EdgeRef, b: EdgeRef): boolean =>
    turnsBeside(a).some((role) => turnsBeside(b).includes(role)) && Math.abs(long(a) - long(b)) < AS_LONG;
  const joins: Join[] = [];
  const done = new Set<string>();
  const turned = new Set<string>();
  for (const seam of garment.joins) {
    const [some, others] = [endsIn(seam.a), endsIn(seam.b)];
    const isOpen = seam.kind === "centre" && opens === `centre-${seam.root ?? "back"}`;
    for (const a of isOpen ? [] : some.filter((ref) => !done.has(keyOf(ref)))) {
      const b = others.find((ref) => !done.has(keyOf(ref)) && meet(a, ref));
      if (!b) continue;
      for (const ref of [a, b]) done.add(keyOf(ref));
      joins.push({
        id: `${a.panel}-${seam.id}`,
        label: say`${seam.label}, facing`,
        kind: "cut",
        by: garment.joins.find((j) => [...j.a, ...j.b].some((r) => r.panel === a.panel))?.by ?? null,
        how: "equal",
        leg: seam.leg,
        a: [a],
        b: [b],
      });
    }
    for (const ref of [...some, ...others]) turned.add(keyOf(ref));
  }
  for (const key of done) turned.delete(key);
  const panels = garment.panels.map((panel): Panel => {
    const isTurned = (id: string): boolean => turned.has(`${panel.id}.${id}`);
    if (!panel.edges.some((e) => isTurned(e.id))) return panel;
    return { ...panel, edges: panel.edges.map((e) => (isTurned(e.id) ? { ...e, becomes: "turned" } : e)) };
  });
  return withParts(
    { ...garment, panels },
    { joins: [...joins, ...shoulderEnds({ ...garment, panels, joins: [...garment.joins, ...joins] })] },
  );
}

/**
 * A neck facing of the back ends on the shoulder, where a front that is faced with itself (folded back, or hanging) has
 * its own end: they are sewn to each other as far as both reach, from the neck.
 */
function shoulderEnds(garment: Garment): readonly Join[] {
  const sewn = new Set(garment.joins.flatMap((j) => [...j.a, ...j.b]).map(keyOf));
  const besideNeck = ({ edges }: Panel, i: number): boolean =>
    [edges[(i + edges.length - 1) % edges.length], edges[(i + 1) % edges.length]].some((e) => e?.role === "neck");
  const open = garment.panels.flatMap((panel) =>
    panel.edges
      .filter((e) => e.role === "shoulder" && !sewn.has(`${panel.id}.${e.id}`))
      .filter((e) => e.becomes === "caught" || besideNeck(panel, panel.edges.indexOf(e)))
      .map((edge) => ({ panel, edge, long: pathLength(edge.path) })),
  );
  const back = open.find(({ panel }) => panel.is.part === "facing" && panel.is.root === "back");
  const front = open.find(({ panel }) => panel.is.root === "front");
  if (!back || !front) return [];
  const reach = Math.min(back.long, front.long);
  // From the neck: a shoulder that follows a neck edge starts there, one before it ends there.
  const ref = ({ panel, edge, long }: typeof back): EdgeRef => {
    const before = panel.edges[(panel.edges.indexOf(edge) + panel.edges.length - 1) % panel.edges.length];
    const startsAtNeck = before?.role === "neck";
    const part =
      long - reach < AS_LONG ? {} : { part: startsAtNeck ? ([0, reach] as const) : ([long - reach, long] as const) };
    return { ...(startsAtNeck ? along(panel.id, edge.id) : against(panel.id, edge.id)), ...part };
  };
  return [
    {
      id: `${back.panel.id}-own`,
      label: say`Shoulder, facing`,
      kind: "cut",
      by: null,
      how: "equal",
      leg: "both",
      a: [ref(front)],
      b: [ref(back)],
    },
  ];
}
