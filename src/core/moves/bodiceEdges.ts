import { armholeOf, type EdgeChanges } from "../bodice";
import { choice, length, statedLength } from "../params";
import { pathAt, pathLength, type Point } from "../geometry";
import { edgeOf } from "../pattern";
import { asSentence, isStated, joined, quantity, Refusal, say, type Mm, type Words } from "../units";
import { ownParam } from "./auto";
import { askedLength, defineMove } from "./define";
import type { Handle } from "./move";
import { bodiceHalves, bodiceOf, isBroughtIn, withBodice } from "./withBodice";

const ID = "bodice-edges";

const change = (about: string, label: string, least: Mm, most: Mm, refusal: string) =>
  statedLength(about, {
    label,
    negative: true,
    usual: { mm: 0 },
    within: [least, most],
    refusal: (limits) => say`${refusal} ${limits}.`,
  });

/** A shoulder at least this long can be sewn. */
const LEAST_SHOULDER: Mm = 20;

const CHANGES = {
  neckFront: change("Lower at the centre front.", "Neck lower, front", -20, 200, "The neck is lowered in front"),
  neckBack: change("Lower at the centre back.", "Neck lower, back", -10, 250, "The neck is lowered behind"),
  neckOut: change("Wider at the shoulder.", "Neck out along the shoulder", -10, 80, "The neck is widened"),
  shoulderIn: change("Narrower at the arm.", "Shoulder in at the arm", -20, 90, "The shoulder is narrowed"),
  underarmUp: change("Underarm up.", "Underarm up", -60, 30, "The underarm is raised"),
  sideOut: change("Each side seam out, parallel.", "Sides out", -15, 60, "The sides go out"),
  vFront: change("Waist lower at the centre front.", "Waist lower, centre front", -20, 60, "The waist drops in front"),
  vBack: change("Waist higher at the centre back.", "Waist higher, centre back", -20, 60, "The waist rises behind"),
};

const PARAMS = {
  ...CHANGES,
  shoulder: length("Its sewn width: the arm end moves, or the neck end where the arm end is stated.", {
    label: "Shoulder wide",
    auto: "as it comes",
    ownOnly: true,
    within: [LEAST_SHOULDER, 220],
    refusal: (limits) => say`A shoulder is ${limits} wide.`,
    tried: [50, 90],
  }),
  armhole: choice("How the armhole runs from the shoulder to the underarm.", {
    label: "Armhole",
    options: [
      ["round", "round"],
      ["cutaway", "cut away, all but straight"],
    ],
  }),
};

/** Redraws the bodice's edges: neck, shoulder, underarm, side, and a waist that is a V. */
export const bodiceEdges = defineMove({
  id: ID,
  label: "Restyle the bodice's edges",
  note: "Lowers or widens the neck, narrows the shoulder, raises the underarm, eases the side, or shapes the waist to a V.",
  params: PARAMS,
  redraws: true,
  apply(state, params, context) {
    if (isBroughtIn(state) && !Object.values(params).some(isStated)) return { state, numbers: {} };
    const plan = bodiceOf(state, "neckFront", this.label);
    const asked = (name: keyof typeof CHANGES): Mm => askedLength(ID, PARAMS, name, params, context).mm;
    const changed = Object.fromEntries(
      Object.entries(plan.edges).map(([name, mm]) => [name, mm + asked(name as keyof EdgeChanges)]),
    ) as unknown as EdgeChanges;
    const drafted = (plan.shoulderX - plan.neck.width) / Math.cos(plan.slope);
    const wide = ownParam("shoulder", params.shoulder, context)
      ? askedLength(ID, PARAMS, "shoulder", params, context)
      : null;
    const edges = !wide
      ? changed
      : isStated(params.shoulderIn)
        ? { ...changed, neckOut: drafted - changed.shoulderIn - wide.mm }
        : { ...changed, shoulderIn: drafted - changed.neckOut - wide.mm };
    const shoulder = drafted - edges.neckOut - edges.shoulderIn;
    if (shoulder < LEAST_SHOULDER) {
      const name = params.shoulderIn === undefined ? "neckOut" : "shoulderIn";
      throw new Refusal(
        name,
        say`That leaves a shoulder of ${shoulder}; of the drafted ${drafted} at least ${LEAST_SHOULDER} has to stay.`,
        { most: asked(name) - (LEAST_SHOULDER - shoulder) },
      );
    }
    const next = withBodice(state, {
      ...plan,
      edges,
      cutaway: params.armhole ? params.armhole === "cutaway" : plan.cutaway,
      vWaist: { front: plan.vWaist.front + asked("vFront"), back: plan.vWaist.back + asked("vBack") },
    });
    const { front, back } = next.drawn;
    return {
      state: next.state,
      numbers: {
        ...Object.fromEntries(
          Object.keys(CHANGES).map((name) => [name, quantity(asked(name as keyof typeof CHANGES), "as chosen")]),
        ),
        shoulder: quantity(
          shoulder,
          say`drafted ${drafted} - ${edges.neckOut} at the neck - ${edges.shoulderIn} at the arm`,
        ),
        neck: quantity(2 * (pathLength(front.neck) + pathLength(back.neck)), "all round, as drawn"),
        armhole: quantity(armholeOf(next.drawn), "front and back edge of one armhole, as drawn"),
      },
      handles: handlesOf(next.state, asked),
    };
  },
  says({ params, numbers }) {
    if (!numbers.neck) return "The bodice brought in keeps its neck, shoulders and underarm.";
    const asked = (name: keyof typeof CHANGES): boolean => (numbers[name]?.mm ?? 0) !== 0;
    const done = [
      asked("neckFront") || asked("neckBack") ? "the neck goes {neckFront} lower in front and {neckBack} behind" : "",
      asked("neckOut") || asked("shoulderIn") || isStated(params.shoulder) ? "the shoulder is {shoulder}" : "",
      params.armhole === "cutaway" ? "the armhole is cut away" : "",
      asked("underarmUp") ? "the underarm goes up {underarmUp}" : "",
      asked("sideOut") ? "each side goes out {sideOut}" : "",
      asked("vFront") || asked("vBack") ? "the waist drops {vFront} in front and rises {vBack} behind" : "",
    ].filter(Boolean);
    const changes = done.length > 0 ? joined(done.map(asSentence), "; ") : "nothing changes";
    return say`Redraw the bodice's edges: ${changes}. The neck is then {neck} round, the armhole {armhole}.`;
  },
});

/** The neck is pulled at its centres, the armhole at the underarm. */
function handlesOf(state: Parameters<typeof bodiceHalves>[0], asked: (name: keyof typeof CHANGES) => Mm): Handle[] {
  const { front, back } = bodiceHalves(state);
  const handle = (panel: typeof front, param: keyof typeof CHANGES, at: Point, axis: Point, label: Words): Handle => ({
    id: `${panel.id}-${param}`,
    panel: panel.id,
    at,
    axis,
    param,
    clears: [],
    perMm: 1,
    value: asked(param),
    label,
    reading: asked(param),
    least: -60,
  });
  const neck = (panel: typeof front): Point => pathAt(edgeOf(panel, "neck").path, 0).point;
  const underarm = front.landmarks.underarm as Point;
  return [
    handle(front, "neckFront", neck(front), [0, 1], "neck, centre front"),
    handle(back, "neckBack", neck(back), [0, 1], "neck, centre back"),
    handle(front, "underarmUp", underarm, [0, -1], "underarm"),
  ];
}
