import type { MadeGarment } from "./garment";
import { JOIN_ALLOWANCE } from "../cloth";
import { FINISHES, type Notion } from "../finish";
import type { Panel, PartKind } from "../pattern";
import type { Piece, Seam } from "../pieces";
import { ratio, say, type Mm, type Sentence, inside, joined as inARow, type Words } from "../units";

/** What is done: one act of making. */
export type Doing =
  | "join"
  | "fuse"
  | "dart"
  | "pleat"
  | "pocket"
  | "opening"
  | "seam"
  | "set-in"
  | "zip"
  | "waist"
  | "facing"
  | "elastic"
  | "hem"
  | "buttonholes"
  | "make-up"
  | "set-on"
  | "press"
  | "try-on";

/** One operation: what it joins or does, with which allowance, and how long it takes, by guess. */
export interface Operation {
  readonly id: string;
  readonly doing: Doing;
  readonly says: Sentence;
  /** Pieces it works on, by id. */
  readonly pieces: readonly string[];
  /** Seam it sews, the first where it sews the same on both legs; null where it sews none. */
  readonly seam: string | null;
  /** All the seams it sews, by id. */
  readonly seams: readonly string[];
  /** What is bought that it sets in, by id. */
  readonly notions: readonly string[];
  readonly edges: readonly string[];
  /** Cut beyond the seam line. */
  readonly allowance: Mm | null;
  readonly minutes: number;
  readonly caution: Sentence | null;
  /** Where it stands among what may be done in any order: smaller comes first. */
  readonly rank: number;
}

/** Minutes a metre of stitching takes, and what every seam takes besides: a guess, until a maker's own are known. */
const PER_METRE: Readonly<Record<Seam["how"], number>> = { equal: 4, eased: 6, gathered: 12, pleated: 14 };
const EACH_SEAM = 2;

const IRON: Sentence = say`The iron is hot: let no hand lie where it goes.`;
const NEEDLE: Sentence = say`Keep fingers clear of the needle; take pins out before they reach it.`;
const BLADE: Sentence = say`Cut away from the hand.`;

const rounded = (minutes: number): number => Math.max(1, Math.round(minutes));

/** The room of the finish that made a seam; null where a move or the draft did. */
const roomOf = (by: string | null): string | null =>
  by === null ? null : (Object.entries(FINISHES).find(([, kinds]) => kinds.some((k) => k.kind === by))?.[0] ?? null);

/** What sewing a seam is, by what made it and where it runs. */
function doingOf(seam: Seam, panel: (id: string) => Panel | undefined): Doing {
  const room = roomOf(seam.by);
  const ofParts = [...seam.walkA, ...seam.walkB].map((ref) => panel(ref.panel)?.is.part);
  if (room === "pocket") return "pocket";
  if (room === "fastening") return "opening";
  if (room === "waist") return "waist";
  if (room === "hem") return "hem";
  if (ofParts.includes("facing")) return "facing";
  if (ofParts.some((part) => part === "sleeve" || part === "side-panel" || part === "godet" || part === "flounce"))
    return "set-in";
  return seam.kind === "waist" ? "waist" : "seam";
}

/** Ranks of the main seams; a school of closing lays its own over these. */
export const RANKS: Readonly<Record<Doing, number>> = {
  join: -10,
  fuse: 0,
  dart: 10,
  pleat: 12,
  pocket: 20,
  opening: 24,
  seam: 40,
  "set-in": 44,
  facing: 52,
  waist: 60,
  zip: 66,
  elastic: 70,
  buttonholes: 74,
  "make-up": 16,
  "set-on": 76,
  hem: 80,
  press: 90,
  "try-on": 95,
};

/** Cut beyond the first edge of a seam. */
function allowanceOf(seam: Seam, pieces: readonly Piece[]): Mm | null {
  const [first] = seam.walkA;
  const piece = pieces.find((p) => p.panel.id === first?.panel);
  return piece?.edges.find((e) => e.edge === first?.edge)?.allowance ?? null;
}

const HOW: Readonly<Record<Seam["how"], string>> = {
  equal: "",
  eased: ", easing the longer side in",
  gathered: ", gathering the longer side",
  pleated: ", pleating the longer side",
};

/** Minutes to join one copy of a piece from two and press it open. */
const A_JOIN = 8;

/** Pieces that were wider than the cloth, joined from two before anything else is done to them. */
const joinsOf = (pieces: readonly Piece[], joined: readonly string[]): readonly Operation[] =>
  pieces
    .filter((piece) => joined.includes(piece.id))
    .map((piece) => ({
      id: `join-${piece.id}`,
      doing: "join",
      says: say`Join the ${inside(piece.name)} from two along the grain, ${JOIN_ALLOWANCE} on both sides of the join; press it open.`,
      ...PLAIN,
      pieces: [piece.id],
      allowance: JOIN_ALLOWANCE,
      minutes: A_JOIN * piece.cut.count,
      caution: NEEDLE,
      rank: RANKS.join,
    }));

/** What an operation has besides what it does, where it sews no seam and sets nothing in. */
const PLAIN = { pieces: [], seam: null, seams: [], notions: [], edges: [], allowance: null, caution: null } as const;

/** How a piece is made up that is sewn into no seam. */
const MADE_UP: Readonly<Partial<Record<PartKind, (name: Words) => Sentence>>> = {
  patch: (name) =>
    say`Turn in and press the edges of the ${name}, its opening first, and sew it on where it is marked.`,
  belt: (name) => say`Fold the ${name} along its middle, sew it and turn it; press it.`,
  "belt-loops": (name) => say`Fold and topstitch the ${name}, cut them apart, and sew them on at the waist.`,
};

/** Pieces that no seam and no other operation works on: they are made up and sewn on. */
const madeUp = (pieces: readonly Piece[], done: readonly Operation[]): readonly Operation[] =>
  pieces
    .filter(({ id }) => !done.some((o) => o.doing !== "fuse" && o.doing !== "join" && o.pieces.includes(id)))
    .map((piece): Operation => {
      const name = inside(piece.name);
      const says = piece.is.part && MADE_UP[piece.is.part]?.(name);
      return {
        ...PLAIN,
        id: `make-up-${piece.id}`,
        doing: "make-up",
        says: says ?? say`Make up the ${name} and sew it on where it is marked.`,
        pieces: [piece.id],
        minutes: rounded(6 * piece.cut.count),
        caution: IRON,
        rank: RANKS["make-up"],
      };
    });

/** What is bought and no other operation sets in. */
const setOn = (notions: readonly Notion[], done: readonly Operation[]): readonly Operation[] =>
  notions
    .filter(({ id, of }) => !done.some((o) => o.notions.includes(id) || (of !== undefined && o.pieces.includes(of))))
    .map((notion): Operation => ({
      ...PLAIN,
      id: `set-${notion.id}`,
      doing: "set-on",
      says: say`Set on: ${notion.label}.`,
      notions: [notion.id],
      minutes: rounded(2 + 2 * notion.count),
      caution: notion.caution ?? NEEDLE,
      rank: RANKS["set-on"],
    }));

/** The seams that are sewn in one operation: those that are one seam on both legs, together. */
function sewnTogether(seams: readonly Seam[]): readonly (readonly Seam[])[] {
  const groups = new Map<string, Seam[]>();
  for (const seam of seams) {
    const key = seam.twin === undefined ? `seam ${seam.id}` : `twin ${seam.twin}`;
    groups.set(key, [...(groups.get(key) ?? []), seam]);
  }
  return [...groups.values()];
}

/** Interfacing, before anything is sewn to it. */
const fusings = (pieces: readonly Piece[]): readonly Operation[] =>
  pieces
    .filter((p) => p.material === "interfacing" || p.alsoCut.some((a) => a.material === "interfacing"))
    .map((piece) => ({
      ...PLAIN,
      id: `fuse-${piece.id}`,
      doing: "fuse",
      says: say`Fuse the interfacing to the ${inside(piece.name)}.`,
      pieces: [piece.id],
      minutes: 4,
      caution: IRON,
      rank: RANKS.fuse,
    }));

/** Darts and pleats of every piece. */
const shapings = (pieces: readonly Piece[]): readonly Operation[] =>
  pieces.flatMap((piece): readonly Operation[] => {
    const count = (kind: string): number => piece.panel.lines.filter((l) => l.kind === kind).length;
    const [darts, pleats] = [count("dart"), count("pleat")];
    const each = piece.cut.count;
    const sewn: Operation = {
      ...PLAIN,
      id: `darts-${piece.id}`,
      doing: "dart",
      says: say`Sew the darts of the ${inside(piece.name)}, from the edge to the tip; press them over a curve.`,
      pieces: [piece.id],
      minutes: rounded(3 * darts * each),
      caution: NEEDLE,
      rank: RANKS.dart,
    };
    const folded: Operation = {
      ...PLAIN,
      id: `pleats-${piece.id}`,
      doing: "pleat",
      says: say`Fold the pleats of the ${inside(piece.name)} and stitch them across at the seam line.`,
      pieces: [piece.id],
      minutes: rounded(3 * each),
      rank: RANKS.pleat,
    };
    return [...(darts > 0 && piece.is.component !== "part" ? [sewn] : []), ...(pleats > 0 ? [folded] : [])];
  });

/** Every seam; those that are one seam on both legs together. */
function seamings({ seams, pieces, sewn }: MadeGarment): readonly Operation[] {
  const panel = (id: string): Panel | undefined => sewn.find((p) => p.id === id);
  const piecesOf = (seam: Seam): readonly string[] =>
    [...seam.walkA, ...seam.walkB].flatMap((ref) => pieces.find((p) => p.panel.id === ref.panel)?.id ?? []);
  return sewnTogether(seams).map((group): Operation => {
    const [seam] = group as readonly [Seam, ...Seam[]];
    const doing = doingOf(seam, panel);
    const times = seam.leg === "both" && seam.kind !== "centre" ? 2 : group.length;
    const long = group.reduce((sum, s) => sum + s.lengthA, 0);
    const metres = ((seam.leg === "both" ? times : 1) * long) / 1000;
    const [first, ...others] = group.map((s) => s.label);
    return {
      ...PLAIN,
      id: seam.id,
      doing,
      says: say`Sew: ${first ?? ""}${inARow(others.map((label) => say`, and ${inside(label)}`))}${seam.leg === "both" && times === 2 ? ", right and left" : ""}${HOW[seam.how]}${seam.how === "gathered" || seam.how === "pleated" ? say` (${ratio(Math.max(seam.ratio, 1 / seam.ratio))} to 1)` : ""}.`,
      pieces: [...new Set(group.flatMap(piecesOf))],
      seam: seam.id,
      seams: group.map((s) => s.id),
      edges: group.flatMap((s) => [...s.a, ...s.b]),
      allowance: allowanceOf(seam, pieces),
      minutes: rounded(times * EACH_SEAM + metres * PER_METRE[seam.how]),
      caution: NEEDLE,
      rank: RANKS[doing],
    };
  });
}

/** The zip, what is drawn in, buttons and hems. */
function closings(derived: MadeGarment): readonly Operation[] {
  const { notions, sewn, finish, zip, hemDepth } = derived;
  return [
    ...(zip
      ? [
          {
            ...PLAIN,
            id: "zip",
            doing: "zip" as const,
            says: say`Set the zip in${zip.above > 0 ? ", from the neck through the waist seam," : ""} ${zip.length.mm + zip.above} long; the seam below it is closed first.`,
            notions: ["zip"],
            allowance: derived.allowances.widths.zip,
            minutes: 25,
            caution: NEEDLE,
            rank: RANKS.zip,
          },
        ]
      : []),
    ...notions
      .filter((n) => n.drawnIn)
      .map((notion): Operation => ({
        ...PLAIN,
        id: `draw-${notion.id}`,
        doing: "elastic",
        says: say`Draw in: ${notion.label}. Quarter it and its channel, and do not catch it in the first row.`,
        notions: [notion.id],
        minutes: 12,
        caution: notion.caution ?? null,
        rank: RANKS.elastic,
      })),
    ...(sewn.some((p) => p.worn?.buttons)
      ? [
          {
            ...PLAIN,
            id: "buttonholes",
            doing: "buttonholes" as const,
            says: say`Work the buttonholes and sew the buttons on.`,
            notions: ["buttons"],
            minutes: 40,
            caution: BLADE,
            rank: RANKS.buttonholes,
          },
        ]
      : []),
    ...(finish.hem && hemDepth
      ? [
          {
            ...PLAIN,
            id: "hem",
            doing: "hem" as const,
            says: say`Turn the hems up by ${hemDepth.mm} and sew them.`,
            notions: ["hem-web"],
            allowance: hemDepth.mm,
            minutes: rounded(6 + (2 * derived.readings.hemGirth * 6) / 1000),
            caution: IRON,
            rank: RANKS.hem,
          },
        ]
      : []),
  ];
}

/** Everything that is sewn, pressed and set in to make a garment, in no order yet. `joined`: pieces joined from two. */
export function operationsOf(derived: MadeGarment, joined: readonly string[]): readonly Operation[] {
  const { pieces, notions } = derived;
  const sewn = [
    ...joinsOf(pieces, joined),
    ...fusings(pieces),
    ...shapings(pieces),
    ...seamings(derived),
    ...closings(derived),
  ];
  const made = [...sewn, ...madeUp(pieces, sewn)];
  const press: Operation = {
    ...PLAIN,
    id: "press",
    doing: "press",
    says: say`Press the whole; trim threads.`,
    minutes: 15,
    caution: IRON,
    rank: RANKS.press,
  };
  return [...made, ...setOn(notions, made), press];
}
