import { waistFromCentre } from "../bodice";
import { choice, length, namedLength, type StatedOf, LEVEL_NAMES, levelSchema, type LevelName } from "../params";
import { along, edgesWithRole, refsLength, type Join, type Panel } from "../pattern";
import { quantity, ratio, Refusal, say, type LengthInput, type Mm } from "../units";
import { z } from "zod";
import { paramOr, styleParam } from "./auto";
import { defineMove } from "./define";
import { levelOf } from "./level";
import { refuseSewnWaist, wholePanel } from "./legs";
import { bodiceHalves, needsBodice } from "./withBodice";
import { pleatPanel } from "./pleatPanel";
import type { MoveContext, StyleState } from "./move";

const ID = "join-bodice";

const PARAMS = {
  how: choice("How the trousers' waist is brought to the bodice's.", {
    label: "Waist brought in by",
    options: [
      ["pleat", "one pleat in each quarter"],
      ["gather", "gathers"],
      ["darts", "nothing: both are shaped alike"],
    ],
  }),
  toward: choice("Which way the pleats are folded.", {
    label: "Pleats folded toward",
    options: [
      ["side", "the side"],
      ["centre", "the centre"],
    ],
  }),
  at: length("How far from the centre the pleats stand; left out, where the bodice's own waist ends.", {
    label: "Pleats stand, from the centre",
    auto: "where the bodice's waist ends",
    within: [20, 400],
    refusal: (limits) => say`A pleat of the join stands ${limits} from the centre.`,
    tried: [40, 160],
  }),
  run: namedLength(
    "`parallel` to the hem, or the level where the pleats run out.",
    z.union([z.literal("parallel"), levelSchema]),
    { label: "Pleats run out at", names: ["parallel", ...LEVEL_NAMES], tried: [300, 900] },
  ),
};
type Params = StatedOf<typeof PARAMS>;

/** Waists this near to one another are sewn as they are. */
const EQUAL: Mm = 0.5;
/** A pleat holds at least this much; less is gathered into the seam. */
const LEAST_PLEAT: Mm = 24;
/** A bodice this much longer than the trousers, as a share of it, is eased to them. */
const MOST_EASED = 0.06;
/** Gathered beyond this, cloth no longer lies in the seam. */
const MOST_GATHERED = 3;

/** Sews the bodice to the trousers: one seam at the waist, its sides and centres meeting. */
export const joinBodice = defineMove({
  id: ID,
  label: "Join bodice and trousers",
  note: "Makes both waists one seam; what the trousers have more is pleated or gathered in.",
  params: PARAMS,
  redraws: false,
  apply(state, params, context) {
    needsBodice(state, "how", this.label);
    const how = params.how ?? (styleParam(ID, "how", context) as Params["how"]) ?? "pleat";
    for (const panel of state.panels) refuseSewnWaist(state, panel, "how", this.label);
    const bodice = bodiceHalves(state);
    const roots = ["front", "back"] as const;
    const of = (root: "front" | "back"): Panel =>
      wholePanel(state, root, "how", this.label, ["waist", "side", "hem", "inseam"]);
    const waists = roots.map((root) => {
      const leg = of(root);
      const own = edgesWithRole(leg, "waist").map((edge) => along(leg.id, edge.id));
      const above = waistFromCentre(bodice[root]);
      return { root, leg, legs: refsLength(state.panels, own), bodice: refsLength(state.panels, above) };
    });
    const [front, back] = waists as unknown as readonly [(typeof waists)[number], (typeof waists)[number]];
    for (const { root, legs, bodice: above } of waists) {
      // A style's own join eases what is a little short; one that is asked for as it is says what cannot be.
      if (legs < above * (how === "darts" ? 1 : 1 - MOST_EASED) - EQUAL)
        throw new Refusal(
          "how",
          say`The ${root} waist of the trousers is ${legs}, that of the bodice ${above}: nothing can be taken in. Leave the trousers hip-wide, or give them more ease.`,
        );
      if (how === "darts" && Math.abs(legs - above) > EQUAL)
        throw new Refusal(
          "how",
          say`The ${root} waist of the trousers is ${legs}, that of the bodice ${above}. Shape the trousers' waist with darts, or pleat or gather them in.`,
        );
      if (how === "gather" && legs / above > MOST_GATHERED)
        throw new Refusal(
          "how",
          say`The ${root} would be gathered ${ratio(legs / above)} times. Pleat it, or take width out first.`,
        );
    }
    const at = paramOr(ID, "at", params.at, context);
    const halves = waists.map((waist) => brought(waist, how, at?.mm ?? waist.bodice, params, state, context));
    const joined: StyleState = {
      ...state,
      panels: state.panels.map((p) => halves.find((h) => h.leg.id === p.id)?.leg ?? p),
    };
    const joins = waists.map(({ root }, i): Join => {
      const { leg, by } = halves[i] as Brought;
      return {
        id: `waist-${root}`,
        label: say`Waist, ${root}`,
        kind: "waist",
        by: ID,
        // Eased, the bodice is gathered a little into the trousers.
        how: by === "pleated" ? "equal" : by === "eased" ? "gathered" : by,
        leg: "both",
        a: waistFromCentre(bodice[root]),
        b: edgesWithRole(leg, "waist").map((edge) => along(leg.id, edge.id)),
      };
    });
    const whole = (name: "legs" | "bodice"): Mm => 2 * (front[name] + back[name]);
    return {
      state: { ...joined, joins: [...joined.joins, ...joins] },
      numbers: {
        frontWaist: quantity(front.bodice, "sewn waist of the front bodice"),
        backWaist: quantity(back.bodice, "sewn waist of the back bodice"),
        frontLegs: quantity(front.legs, "sewn waist of the trousers' front"),
        backLegs: quantity(back.legs, "sewn waist of the trousers' back"),
        frontAt: quantity(at?.mm ?? front.bodice, at ? "as chosen" : "as long as the bodice's waist"),
        backAt: quantity(at?.mm ?? back.bodice, at ? "as chosen" : "as long as the bodice's waist"),
        frontRest: quantity(front.legs - front.bodice, say`waist ${front.legs} - ${front.bodice}`),
        backRest: quantity(back.legs - back.bodice, say`waist ${back.legs} - ${back.bodice}`),
        waist: quantity(whole("bodice"), "sewn waist of the bodice, all round"),
        legs: quantity(whole("legs"), "waist of the trousers, all round"),
      },
      facts: { how, front: (halves[0] as Brought).by, back: (halves[1] as Brought).by },
      figures: {
        ratio: { ...ratio(whole("legs") / whole("bodice")), sum: say`waist of the trousers / waist of the bodice` },
      },
    };
  },
  says: ({ facts: { how, front, back } }) =>
    how === "darts"
      ? "Sew bodice and trousers together, both {waist} round the waist; sides, centres and darts meet."
      : say`Sew bodice and trousers together: ${HALF.front[front]}; ${HALF.back[back]}.`,
});

interface Waist {
  readonly leg: Panel;
  readonly legs: Mm;
  readonly bodice: Mm;
}

/** How the trousers' half is brought to the bodice's: `eased` where the bodice has a little more. */
type By = "pleated" | "gathered" | "eased" | "equal";

/** One half of the trousers as it is joined, and how. */
interface Brought {
  readonly leg: Panel;
  readonly by: By;
}

/** What is told of a half, by how it is brought in. */
const HALF: Readonly<Record<"front" | "back", Readonly<Record<By, string>>>> = {
  front: {
    pleated: "in front one pleat of {frontRest}, {frontAt} from the centre",
    gathered: "in front {frontLegs} gathered to {frontWaist}",
    eased: "in front the bodice's {frontWaist} eased to {frontLegs}",
    equal: "in front both are {frontWaist}",
  },
  back: {
    pleated: "behind one pleat of {backRest}, {backAt} from the centre",
    gathered: "behind {backLegs} gathered to {backWaist}",
    eased: "behind the bodice's {backWaist} eased to {backLegs}",
    equal: "behind both are {backWaist}",
  },
};

/** A half with what its waist has over the bodice's folded into one pleat, or gathered where no pleat can stand. */
function brought(
  { leg, legs, bodice }: Waist,
  how: NonNullable<Params["how"]>,
  at: Mm,
  params: Params,
  state: StyleState,
  context: MoveContext,
): Brought {
  const rest = legs - bodice;
  if (Math.abs(rest) <= EQUAL) return { leg, by: "equal" };
  if (rest < 0) return { leg, by: "eased" };
  if (how !== "pleat" || rest < LEAST_PLEAT) return { leg, by: "gathered" };
  const asked = params.run ?? (styleParam(ID, "run", context) as Params["run"]) ?? "parallel";
  const run = asked === "parallel" ? null : levelOf("run", asked as LevelName | LengthInput, state, context);
  const plan = {
    count: 1,
    intake: null,
    kind: "knife",
    toward: params.toward ?? "side",
    runOut: run?.mm ?? null,
    spacing: 0,
    at,
  } as const;
  try {
    return { leg: pleatPanel(leg, plan, bodice).panel, by: "pleated" };
  } catch (error) {
    const isOwn = params.how === undefined && params.run === undefined && params.at === undefined;
    if (!(error instanceof Refusal) || !isOwn || legs / bodice > MOST_GATHERED) throw error;
    return { leg, by: "gathered" };
  }
}
