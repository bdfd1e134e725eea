import type { Job } from "../files";
import { STYLES } from "../styles";
import { seededRandom } from "./bodies";
import { either, millimetres as mm, oneOf, type Random } from "./choices";

type Moves = NonNullable<Job["moves"]>;
type Params = Readonly<Record<string, (random: Random) => unknown>>;

const whole = (low: number, high: number) => oneOf(...Array.from({ length: high - low + 1 }, (_, i) => low + i));
const share = (low: number, high: number) => (random: Random) => low + (high - low) * random();

/** Parameters of every move and what a maker might state for them, some beyond what can be drawn. */
const PARAMS: Readonly<Record<string, Params>> = {
  spread: { hemSpread: mm(-60, 400), hemGirth: mm(300, 1400), slashAt: mm(-80, 80), hingeAt: mm(-60, 200) },
  "full-spread": { gap: mm(-70, 300), panels: oneOf("both", "front", "back") },
  "shape-leg": {
    knee: mm(300, 800),
    hem: mm(200, 900),
    start: oneOf("knee", "calf", "ankle", "crotch", "500 mm", "700 mm"),
    backExtra: mm(0, 60),
    kneeToSide: mm(-40, 40),
    hemToSide: mm(-40, 40),
  },
  "widen-leg": { side: mm(-50, 150), inseamShare: share(0, 1), inseam: mm(0, 80) },
  "drop-crotch": { by: mm(-20, 120) },
  "waist-level": { by: mm(-100, 120) },
  "set-length": { length: oneOf("full", "ankle", "calf", "mid-calf", "knee", "shorts", "640 mm"), less: mm(20, 90) },
  "waist-shaping": {
    to: oneOf("darts", "side", "ease", "hip-wide"),
    frontIntake: mm(0, 60),
    backIntake: mm(0, 80),
    ease: mm(0, 60),
  },
  yoke: {
    panels: oneOf("both", "front", "back"),
    centre: mm(30, 130),
    side: mm(30, 110),
    front: mm(30, 110),
    frontDart: oneOf("used", "remnant"),
    backDart: oneOf("used", "remnant"),
    fold: either,
    joined: either,
  },
  split: { panel: oneOf("front", "back"), leg: oneOf("both", "left", "right"), out: mm(-60, 60) },
  pleats: {
    panel: oneOf("front", "back", "both"),
    count: whole(1, 4),
    depth: mm(8, 50),
    kind: oneOf("knife", "box", "inverted"),
    toward: oneOf("side", "centre"),
    run: oneOf("parallel", "knee", "crotch", "calf", "hip"),
    spacing: mm(20, 80),
  },
  "side-panel": {
    above: mm(-20, 80),
    reach: mm(-20, 60),
    drop: mm(60, 300),
    fullness: share(1, 3),
    how: oneOf("pleated", "gathered"),
  },
  godet: { at: oneOf("side", "inseam", "split"), length: mm(80, 500), spread: mm(60, 400) },
  flounce: {
    kind: oneOf("circle", "gathered"),
    start: oneOf("knee", "calf", "ankle", "crotch", "600 mm"),
    depth: mm(60, 400),
    share: share(0.3, 1.8),
    fullness: share(1, 3),
    points: whole(0, 11),
    valley: mm(0, 120),
    parts: whole(1, 5),
  },
  placket: {
    edge: oneOf("split", "centre-front", "centre-back"),
    width: mm(20, 70),
    length: mm(80, 700),
    spacing: mm(40, 150),
  },
  casing: {
    at: oneOf("waist", "hem"),
    depth: mm(15, 60),
    frill: mm(0, 60),
    sits: oneOf("beyond", "on"),
    room: mm(0, 8),
  },
};

/** A style's worksheet with one to three more moves anywhere in it, each with about half of its parameters stated. */
export function randomWorksheet(seed: number): { readonly style: string; readonly moves: Moves } {
  const random = seededRandom(seed);
  const style = oneOf(...Object.keys(STYLES))(random);
  const moves: Moves = (STYLES[style]?.moves ?? []).map((entry) => ({ ...entry, params: { ...entry.params } }));
  const more = whole(1, 3)(random);
  for (let i = 0; i < more; i++) {
    const [move, ranges] = oneOf(...Object.entries(PARAMS))(random);
    const stated = Object.entries(ranges).filter(() => random() < 0.55);
    const params = Object.fromEntries(stated.map(([name, value]) => [name, value(random)]));
    moves.splice(Math.floor(random() * (moves.length + 1)), 0, { id: `more-${i}`, move, on: true, params });
  }
  return { style, moves };
}
