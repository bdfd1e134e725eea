import { range, say, type Words } from "@/core/units";
import { BACKS, type ResolvedRules } from "@/core/drafting";

/** One rule as a line of the pane: a choice among words, a length, a length that may be a word, or a yes. */
export interface RuleRow {
  readonly path: readonly [string] | readonly [string, string];
  readonly label: string;
  readonly choices?: readonly (readonly [string, Words])[];
  /** A word that stands for "by rule" beside a length. */
  readonly word?: readonly [string, string];
  readonly yes?: boolean;
  readonly negative?: boolean;
  readonly note?: Words;
  readonly shown?: (rules: ResolvedRules) => boolean;
}

export interface RuleGroup {
  readonly title: string;
  readonly rows: readonly RuleRow[];
}

const backIs =
  (...hows: readonly string[]) =>
  (rules: ResolvedRules): boolean =>
    hows.includes(rules.back.how);
const shapes =
  (...kinds: readonly string[]) =>
  (rules: ResolvedRules): boolean =>
    kinds.includes(rules.waist.shaping);
const steers =
  (...ways: readonly string[]) =>
  (rules: ResolvedRules): boolean =>
    ways.includes(rules.curve.steer);
const sharedLeg = (rules: ResolvedRules): boolean => rules.leg.fall === "shared";

/** The ways to come by a crotch depth from the body alone. */
export const DEPTHS = [
  ["auto", say`card, else hip / 4 + ${25}`],
  ["hip4", "hip / 4"],
  ["crotchLength2", "crotch length / 2"],
  ["hipLine", "waist to hip"],
] as const;

/** Every rule of the draft in the order it is drawn; what the chosen construction does not use is not shown. */
export const RULE_GROUPS: readonly RuleGroup[] = [
  {
    title: "Levels",
    rows: [
      {
        path: ["crotchDepth", "from"],
        label: "Crotch depth from",
        choices: [DEPTHS[0], ["measured", "card"], ...DEPTHS.slice(1), ["fixed", "a length of my own"]],
      },
      { path: ["crotchDepth", "value"], label: "Crotch depth", shown: (r) => r.crotchDepth.from === "fixed" },
      { path: ["crotchDepth", "add"], label: "Crotch depth, added", negative: true },
      { path: ["level", "high"], label: "High waist, standing above" },
      { path: ["waistLevel", "add"], label: "Waist line moved up", negative: true },
      {
        path: ["leg", "kneeLine"],
        label: "Knee line",
        choices: [
          ["measured", say`${25} above the knee`],
          ["half", say`half of crotch to hem, ${50} up`],
        ],
      },
    ],
  },
  {
    title: "Width",
    rows: [
      {
        path: ["width", "from"],
        label: "Panel width from",
        choices: [
          ["hip", "hip / 4"],
          ["waist", "waist / 4 + dart"],
        ],
        note: "Drafted from the waist the hip is only checked.",
      },
      { path: ["width", "add"], label: "Width, added", negative: true },
      { path: ["ease", "front"], label: "Hip ease, front", negative: true },
      { path: ["ease", "back"], label: "Hip ease, back", negative: true },
      {
        path: ["hipInch"],
        label: "Back's extra at the hip",
        choices: [
          ["hipOnly", "at the hip line only"],
          ["throughout", "down the whole leg"],
          ["none", "left out"],
        ],
      },
      {
        path: ["thigh", "girth"],
        label: "Leg at the thigh line",
        word: ["none", "as it falls"],
        note: "Both sides are led through this girth of one leg.",
      },
      { path: ["thigh", "below"], label: "Thigh line below crotch", shown: (r) => r.thigh.girth !== "none" },
    ],
  },
  {
    title: "Crotch",
    rows: [
      {
        path: ["frontExtension", "from"],
        label: "Front extension from",
        choices: [
          ["hip20", "hip / 20"],
          ["hip16", "hip / 16"],
          ["hip8", "hip / 8"],
          ["quarter4", "front width / 4"],
          ["thigh", "half the thigh"],
          ["girth", say`${range(50, 65)} by the hip`],
          ["fixed", "a length of my own"],
        ],
      },
      { path: ["frontExtension", "value"], label: "Front extension", shown: (r) => r.frontExtension.from === "fixed" },
      { path: ["frontExtension", "add"], label: "Front extension, added", negative: true },
      {
        path: ["backExtension", "from"],
        label: "Back extension from",
        choices: [
          ["hip10", "hip / 10, in total"],
          ["front", "the front's, and more"],
          ["frontTwice", "twice the front's"],
          ["girth", say`${range(75, 90)} by the hip`],
          ["fixed", "a length of my own"],
        ],
      },
      { path: ["backExtension", "value"], label: "Back extension", shown: (r) => r.backExtension.from === "fixed" },
      {
        path: ["backExtension", "add"],
        label: "Back extension, more",
        negative: true,
        note: "More than the front's, where it starts from the front; else added to the total.",
      },
      {
        path: ["curve", "steer"],
        label: "Crotch curve steered by",
        choices: [
          ["diagonal", "the diagonal"],
          ["hipPoint", "a point outside the hip line"],
          ["outAndUp", "equal ways out and up"],
        ],
      },
      {
        path: ["curve", "start"],
        label: "Curve starts",
        choices: [
          ["hip", "at the hip line"],
          ["halfway", "half-way down"],
        ],
        shown: steers("diagonal"),
      },
      {
        path: ["hollow", "from"],
        label: "Diagonal",
        choices: [
          ["asked", "a length"],
          ["quarter", "a quarter of the extension"],
        ],
        shown: steers("diagonal"),
      },
      {
        path: ["hollow", "front"],
        label: "Front diagonal",
        shown: (r) => r.curve.steer === "diagonal" && r.hollow.from === "asked",
      },
      {
        path: ["hollow", "back"],
        label: "Back diagonal",
        shown: (r) => r.curve.steer === "diagonal" && r.hollow.from === "asked",
      },
      { path: ["curve", "out"], label: "Out on the hip line", shown: steers("hipPoint") },
      { path: ["curve", "up"], label: "Up the centre line", shown: steers("outAndUp") },
    ],
  },
  {
    title: "Back",
    rows: [
      {
        path: ["back", "how"],
        label: "Back is",
        choices: Object.entries(BACKS).map(([how, { label }]) => [how, label.toLowerCase()] as const),
      },
      {
        path: ["back", "inAtCrotch"],
        label: "Centre in, at the crotch",
        negative: true,
        shown: backIs("slanted", "transferred"),
      },
      {
        path: ["back", "inAtWaist"],
        label: "Centre in, at the waist",
        negative: true,
        shown: backIs("slanted", "transferred"),
      },
      { path: ["back", "out"], label: "Centre moved out", shown: backIs("traced") },
      { path: ["back", "open"], label: "Slash opened at the centre", shown: backIs("hinged") },
      {
        path: ["back", "rise"],
        label: "Back rise",
        word: ["auto", "by the hip"],
        shown: (r) => r.back.how !== "hinged",
        note: say`By the hip girth: ${38} up to ${950}, ${64} from ${1300}.`,
      },
      { path: ["back", "increment"], label: "Every width, more", negative: true, shown: backIs("redrafted") },
      {
        path: ["back", "sideAdd"],
        label: "Side set out",
        negative: true,
        shown: backIs("traced", "tilted", "transferred", "hinged"),
      },
      {
        path: ["back", "inseamAdd"],
        label: "Inseam set out",
        negative: true,
        shown: backIs("traced", "tilted", "hinged"),
      },
      { path: ["back", "kneeAdd"], label: "Knee wider", negative: true, shown: backIs("transferred") },
      {
        path: ["back", "crease"],
        label: "Back crease",
        choices: [
          ["front", "the front's"],
          ["own", "its own, halving the leg"],
        ],
        shown: sharedLeg,
      },
      {
        path: ["back", "drop"],
        label: "Back crotch line lower",
        note: "Both are shown: asked, and where the inseams agree.",
      },
      {
        path: ["inseam", "backShorter"],
        label: "Back inseam shorter",
        note: say`Stretched on when sewn, ${0} to ${6}.`,
      },
    ],
  },
  {
    title: "Waist",
    rows: [
      {
        path: ["waist", "shaping"],
        label: "Waist is shaped by",
        choices: [
          ["darts", "darts and side"],
          ["none", "side and centre, no dart"],
          ["hipWide", "nothing: as wide as the hip"],
          ["centreBack", "the centre back"],
        ],
      },
      {
        path: ["waist", "ease"],
        label: "Waist ease, all round",
        negative: true,
        shown: shapes("darts", "none", "centreBack"),
      },
      { path: ["waist", "frontIn"], label: "Centre front in", negative: true },
      { path: ["waist", "frontDrop"], label: "Centre front drop", negative: true },
      { path: ["dropAfterBack"], label: "Drop after the back is made", yes: true },
      { path: ["waist", "sideRise"], label: "Side rise, front and back", negative: true },
      { path: ["waist", "frontIntake"], label: "Front dart", shown: shapes("darts") },
      { path: ["waist", "frontLength"], label: "Front dart, long", shown: shapes("darts") },
      { path: ["waist", "backIntake"], label: "Back dart", shown: shapes("darts") },
      { path: ["waist", "backLength"], label: "Back dart, long", shown: shapes("darts") },
      {
        path: ["dart", "at"],
        label: "Dart stands",
        choices: [
          ["mid", "in the middle"],
          ["crease", "on the crease"],
          ["bust", "at half the bust span"],
          ["fixed", "at a length of my own"],
        ],
        shown: shapes("darts"),
      },
      {
        path: ["dart", "value"],
        label: "From the centre",
        shown: (r) => r.waist.shaping === "darts" && r.dart.at === "fixed",
      },
      {
        path: ["dart", "run"],
        label: "Dart runs",
        choices: [
          ["square", "square to the waist"],
          ["parallel", "parallel to the centre"],
        ],
        shown: shapes("darts"),
      },
    ],
  },
  {
    title: "Leg",
    rows: [
      {
        path: ["leg", "fall"],
        label: "Leg is",
        choices: [
          ["shared", "shared by its girth"],
          ["down", "straight down"],
        ],
      },
      {
        path: ["hang", "from"],
        label: "Leg hangs from",
        choices: [
          ["crease", "the crease"],
          ["offset", "a crease set off"],
          ["side", "the side"],
          ["inseam", "the inseam"],
        ],
        shown: sharedLeg,
      },
      {
        path: ["hang", "by"],
        label: "Set off, or in",
        negative: true,
        shown: (r) => sharedLeg(r) && r.hang.from !== "crease",
      },
      {
        path: ["leg", "knee"],
        label: "Knee measured",
        choices: [
          ["straight", "straight"],
          ["bent", "bent"],
        ],
        shown: sharedLeg,
      },
      { path: ["leg", "kneeEase"], label: "Knee ease", negative: true, shown: sharedLeg },
      { path: ["leg", "hemGirth"], label: "Girth of one leg", word: ["auto", "by thigh and knee"], shown: sharedLeg },
      { path: ["leg", "backExtra"], label: "Back wider than front", negative: true, shown: sharedLeg },
      {
        path: ["leg", "inseam"],
        label: "Inseam above the knee",
        choices: [
          ["auto", "curved as the thigh asks"],
          ["straight", "ruled straight"],
        ],
      },
    ],
  },
];
