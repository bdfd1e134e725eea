import { edgeOf, landmarkOf, roleLength } from "../drafting";
import { pathLength } from "../geometry";
import { plain } from "../units";
import { byLimits, verdict, type CheckRule } from "./check";

/** Side seams of front and back, walked from hem to waist. */
export const sideSeams: CheckRule = {
  id: "side-seams",
  label: "Side seams",
  note: "Front and back side seams are equally long.",
  measure({ front, back }) {
    const value = pathLength(edgeOf(front, "side").path) - pathLength(edgeOf(back, "side").path);
    const status = byLimits(value, 1, 2);
    return verdict(this, {
      status,
      value,
      limit: 1,
      unit: "mm",
      message:
        status === "pass"
          ? "Front and back are equal."
          : `The front is ${plain(Math.abs(value))} mm ${value > 0 ? "longer" : "shorter"} than the back.`,
      where: { panel: "front", point: landmarkOf(front, "waistSide") },
      fix: "Redraw the back waist at the side until the seams agree.",
    });
  },
};

/** Inseams: the back may be up to 6 mm shorter, to be stretched on. */
export const inseams: CheckRule = {
  id: "inseams",
  label: "Inseams",
  note: "The back inseam is 0 to 6 mm shorter than the front's and is stretched on.",
  measure({ front, back }) {
    const value = pathLength(edgeOf(front, "inseam").path) - pathLength(edgeOf(back, "inseam").path);
    const status = value < -2 || value > 10 ? "fault" : value < -0.05 || value > 6.05 ? "look" : "pass";
    const equal = Math.abs(value) < 0.05;
    return verdict(this, {
      status,
      value,
      limit: 6,
      unit: "mm",
      message: equal
        ? "Front and back are equal."
        : `The back is ${plain(Math.abs(value))} mm ${value > 0 ? "shorter" : "longer"}.`,
      where: { panel: "back", point: landmarkOf(back, "crotchPoint") },
      fix: "Lower or raise the back crotch point.",
    });
  },
};

/** The waist against the band it is sewn to. */
export const waistSeam: CheckRule = {
  id: "waist-seam",
  label: "Waist and band",
  note: "The band is as long as the waist it is sewn to, without its underlap.",
  measure({ front, back, band }) {
    if (!band) return null;
    const sewn = pathLength(edgeOf(band, "sewn-left").path) + pathLength(edgeOf(band, "sewn-right").path);
    const waist = 2 * (roleLength(front, "waist") + roleLength(back, "waist"));
    const value = waist - sewn;
    const status = byLimits(value, 2, 5);
    return verdict(this, {
      status,
      value,
      limit: 2,
      unit: "mm",
      message:
        status === "pass"
          ? "Waist and band are equal."
          : `The waist is ${plain(Math.abs(value))} mm ${value > 0 ? "longer" : "shorter"} than the band.`,
      where: { panel: "front", point: landmarkOf(front, "waistCentre") },
      fix: "Cut the band to the sewn waist.",
    });
  },
};

/** Leg halves about the crease at the hem. */
export const creaseBalance: CheckRule = {
  id: "crease-balance",
  label: "Leg halves about the crease",
  note: "At the hem both sides of the crease are equally wide.",
  measure({ front, back, plan }) {
    // A leg hung from its side or inseam has no crease to halve it, and one cut above the knee has not reached it yet.
    const hung = plan.hang === "side" || plan.hang === "inseam";
    if (hung || plan.levels.hem < plan.levels.knee) return null;
    const worst = [front, back]
      .map((panel) => {
        const crease = landmarkOf(panel, "creaseHem")[0];
        const side = Math.abs(landmarkOf(panel, "hemSide")[0] - crease);
        const inseam = Math.abs(landmarkOf(panel, "hemInseam")[0] - crease);
        return { panel, value: side - inseam };
      })
      .reduce((a, b) => (Math.abs(b.value) > Math.abs(a.value) ? b : a));
    const status = byLimits(worst.value, 3, 8);
    const wider = worst.value > 0 ? "side" : "inseam";
    return verdict(this, {
      status,
      value: worst.value,
      limit: 3,
      unit: "mm",
      message:
        Math.abs(worst.value) < 0.05
          ? "Both halves are equal."
          : `The ${worst.panel.name.toLowerCase()} is ${plain(Math.abs(worst.value))} mm wider toward the ${wider}.`,
      where: { panel: worst.panel.id, point: landmarkOf(worst.panel, "creaseHem") },
      fix: "Share the opening so that both halves of the leg grow alike.",
    });
  },
};
