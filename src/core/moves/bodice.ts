import { armholeOf, bodicePlan, type BodicePlan, bodiceSteps, hasBustDart } from "../bodice";
import { choice, length, statedLength } from "../params";
import { pointDistance } from "../geometry";
import { quantity, Refusal, say, type Mm } from "../units";
import { paramOr, styleParam } from "./auto";
import { askedLength, defineMove } from "./define";
import { refuseOwnBlock } from "./level";
import type { MoveContext, MoveResult, StyleState } from "./move";
import { bodiceHalves, withBodice, withOwnBodice } from "./withBodice";

const ID = "bodice";

const PARAMS = {
  school: choice("How it is drafted.", {
    label: "Drafted",
    options: [
      ["measured", "measured: front over the bust, back from the nape"],
      ["quarters", "by quarters: front and back equally long"],
      ["own", "not: the bodice brought in on Block"],
    ],
  }),
  equalTo: choice("By quarters: which length both halves are given.", {
    label: "By quarters, as long as",
    options: [
      ["back", "the back"],
      ["front", "the front"],
    ],
  }),
  bustEase: statedLength("Ease of one bust quarter.", {
    label: "Bust ease, each quarter",
    usual: { mm: { cm: 15, in: 12.7 } },
    within: [-10, 80],
    refusal: (limits) => say`The bust ease of a quarter is ${limits}.`,
  }),
  waistEase: statedLength("Ease of one waist quarter.", {
    label: "Waist ease, each quarter",
    usual: { mm: 0 },
    within: [-10, 300],
    refusal: (limits) => say`The waist ease of a quarter is ${limits}.`,
  }),
  frontDarts: length("Width of the front's waist darts together.", {
    label: "Front waist darts",
    auto: "from the surplus",
    within: [0, 100],
    refusal: (limits) => say`The front's waist darts take ${limits} together.`,
    tried: [0, 50],
  }),
  backDarts: length("Width of the back's waist darts together.", {
    label: "Back waist darts",
    auto: "from the surplus",
    within: [0, 100],
    refusal: (limits) => say`The back's waist darts take ${limits} together.`,
    tried: [0, 50],
  }),
  tipBack: statedLength("How far the sewn tips of the front's darts stay back from the bust point.", {
    label: "Dart tips back from the bust point",
    usual: { mm: { cm: 25, in: 25.4 } },
    within: [0, 60],
    refusal: (limits) => say`Dart tips stay ${limits} back from the bust point.`,
  }),
};

/** Drafts a bodice from the upper card, above the trousers' waist. */
export const bodice = defineMove({
  id: ID,
  label: "Draft the bodice",
  note: "Front and back of a bodice from the upper card; shoulders, sides and waist agree, darts closed.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    const school = params.school ?? (styleParam(ID, "school", context) as typeof params.school) ?? "measured";
    if (school === "own") return broughtIn(state, context);
    refuseOwnBlock(state, "school", this.label);
    const asked = (name: "bustEase" | "waistEase" | "tipBack"): Mm => askedLength(ID, PARAMS, name, params, context).mm;
    const darts = (name: "frontDarts" | "backDarts"): Mm | null =>
      paramOr(ID, name, params[name], context) === null ? null : askedLength(ID, PARAMS, name, params, context).mm;
    const { plan, numbers } = bodicePlan(context.measures, {
      school,
      equalTo: params.equalTo ?? "back",
      bustEase: asked("bustEase"),
      waistEase: asked("waistEase"),
      tipBack: asked("tipBack"),
      frontDarts: darts("frontDarts"),
      backDarts: darts("backDarts"),
    });
    const { state: next, drawn } = withBodice(state, plan);
    const dart = drawn.front.sideDart;
    const halves = { front: plan.darts.front, back: plan.darts.back };
    const sums = {
      ...numbers,
      armhole: quantity(armholeOf(drawn), "front and back edge of one armhole, as drawn"),
      bustDart: quantity(dart ? pointDistance(dart.from, dart.to) : 0, "mouth at the side, so that both sides agree"),
      frontDarts: quantity(halves.front.count * halves.front.intake, "of the surplus of bust over waist"),
      backDarts: quantity(halves.back.count * halves.back.intake, "of the surplus of bust over waist"),
    };
    return {
      state: next,
      numbers: sums,
      facts: { drafted: plan },
      drafted: bodiceSteps(plan, drawn, bodiceHalves(next), sums),
    };
  },
  says: ({ facts: { drafted } }) =>
    drafted === null
      ? "Take the bodice brought in, on its seam lines: {bust} round at the underarm, sewn waist {waist}, armhole {armhole}; down the centre {frontLength} in front and {backLength} behind, at the side {frontSide} and {backSide}."
      : say`${
          drafted.school === "measured"
            ? "Draft the bodice from its measures: the front over the bust, the back from the nape"
            : "Draft the bodice by quarters, front and back equally long"
        }. Bust quarter {bustQuarter}, sewn waist quarter {waistQuarter}; shoulder {shoulder}, underarm {underarm} below its neck end, armhole {armhole}. ${
          hasBustDart(drafted)
            ? "The front is {frontLonger} longer: a bust dart of {bustDart} takes it."
            : "Front and back differ by {frontLonger}: no bust dart."
        } Waist darts take {frontDarts} in front and {backDarts} behind.`,
});

/** The bodice that the job brought in, in place of a drafted one. */
function broughtIn(
  state: StyleState,
  { ownBodice, unit }: MoveContext,
): MoveResult<{ readonly drafted: BodicePlan | null }> {
  if (!ownBodice)
    throw new Refusal(
      "school",
      say`There is no bodice of your own yet. Bring in its outline as SVG or DXF on the Block stage, or draft one.`,
    );
  const { state: next, drawn } = withOwnBodice(state, ownBodice, unit);
  return {
    state: next,
    numbers: drawn.numbers,
    facts: { drafted: null },
    drafted: { steps: drawn.steps, numbers: drawn.numbers },
  };
}
