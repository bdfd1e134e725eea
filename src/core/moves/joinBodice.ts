import { phrase } from "../words";
import { waistFromCentre } from "../bodice";
import { choice, namedLength, type StatedOf, LEVEL_NAMES, levelSchema, type LevelName } from "../params";
import { along, edgesWithRole, refsLength, type Join, type Panel } from "../pattern";
import { quantity, ratio, Refusal, say, type LengthInput, type Mm } from "../units";
import { z } from "zod";
import { styleParam } from "./auto";
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
      if (legs < above - EQUAL)
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
    const joined = how === "pleat" ? pleated(state, waists, params, context) : state;
    const joins = waists.map(({ root, leg, legs, bodice: above }): Join => {
      const panel = joined.panels.find((p) => p.id === leg.id) as Panel;
      return {
        id: `waist-${root}`,
        label: phrase`Waist, ${root}`,
        kind: "waist",
        by: ID,
        how: howJoined(how, legs - above),
        leg: "both",
        a: waistFromCentre(bodice[root]),
        b: edgesWithRole(panel, "waist").map((edge) => along(panel.id, edge.id)),
      };
    });
    const whole = (name: "legs" | "bodice"): Mm => 2 * (front[name] + back[name]);
    return {
      state: { ...joined, joins: [...joined.joins, ...joins] },
      template: {
        pleat:
          "Sew bodice and trousers together: from each centre lay off the bodice's waist, {frontWaist} in front and {backWaist} behind, and fold the rest into one pleat, {frontRest} in front and {backRest} behind.",
        gather:
          "Sew bodice and trousers together: the trousers' waist of {legs} is gathered to the bodice's {waist}, {ratio} to 1.",
        darts: "Sew bodice and trousers together, both {waist} round the waist; sides, centres and darts meet.",
      }[how],
      numbers: {
        frontWaist: quantity(front.bodice, "sewn waist of the front bodice"),
        backWaist: quantity(back.bodice, "sewn waist of the back bodice"),
        frontRest: quantity(front.legs - front.bodice, say`waist ${front.legs} - ${front.bodice}`),
        backRest: quantity(back.legs - back.bodice, say`waist ${back.legs} - ${back.bodice}`),
        waist: quantity(whole("bodice"), "sewn waist of the bodice, all round"),
        legs: quantity(whole("legs"), "waist of the trousers, all round"),
      },
      figures: {
        ratio: { ...ratio(whole("legs") / whole("bodice")), sum: ["waist of the trousers / waist of the bodice"] },
      },
      shown: [],
      handles: [],
    };
  },
});

/** How one half's seam is sewn, by what its trousers have over. */
function howJoined(how: NonNullable<Params["how"]>, rest: Mm): Join["how"] {
  if (rest <= EQUAL) return "equal";
  if (how === "gather") return "gathered";
  return rest < LEAST_PLEAT ? "gathered" : "equal";
}

interface Waist {
  readonly leg: Panel;
  readonly legs: Mm;
  readonly bodice: Mm;
}

/** Each half with what its waist has over the bodice's folded into one pleat, the bodice's waist from the centre. */
function pleated(state: StyleState, waists: readonly Waist[], params: Params, context: MoveContext): StyleState {
  const asked = params.run ?? (styleParam(ID, "run", context) as Params["run"]) ?? "parallel";
  const run = asked === "parallel" ? null : levelOf("run", asked as LevelName | LengthInput, state, context);
  const folded = waists.map(({ leg, legs, bodice }): Panel => {
    if (legs - bodice < LEAST_PLEAT) return leg;
    const plan = {
      count: 1,
      intake: null,
      kind: "knife",
      toward: params.toward ?? "side",
      runOut: run?.mm ?? null,
      spacing: 0,
      at: bodice,
    } as const;
    return pleatPanel(leg, plan, bodice).panel;
  });
  return { ...state, panels: state.panels.map((p) => folded.find((f) => f.id === p.id) ?? p) };
}
